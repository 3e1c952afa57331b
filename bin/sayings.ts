import { parse as parseVue } from '@vue/compiler-sfc'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'

/** Every English text that the code hands to `t` (in templates `$t`), by file: literals in the first argument, conditional ones too. */
export function sayings(roots: readonly string[] = ['core', 'server', 'web']): Map<string, string> {
  const found = new Map<string, string>()
  for (const root of roots)
    for (const file of filesIn(root)) for (const text of sayingsIn(file)) if (!found.has(text)) found.set(text, file)
  return found
}

const filesIn = (dir: string): string[] =>
  readdirSync(dir, { withFileTypes: true }).flatMap((e) => {
    const path = join(dir, e.name)
    if (e.isDirectory()) return e.name === 'golden' || e.name === 'testing' || e.name === 'spanish' ? [] : filesIn(path)
    return /\.(ts|vue)$/.test(e.name) && !/\.(test|tmp)\.ts$/.test(e.name) ? [path] : []
  })

function sayingsIn(file: string): string[] {
  const source = readFileSync(file, 'utf8')
  if (file.endsWith('.ts')) return fromCode(source)
  const { descriptor } = parseVue(source, { filename: file })
  const script = [descriptor.script?.content, descriptor.scriptSetup?.content].filter(Boolean).join('\n')
  return [...fromCode(script), ...fromTemplate(descriptor.template?.content ?? '')]
}

/** Calls in a template's expressions: each is read from its `$t(` to the end that a parser finds. */
function fromTemplate(text: string): string[] {
  return [...text.matchAll(/\$t\(/g)].flatMap((m) => fromCode(`(${text.slice(m.index)}`, true))
}

function fromCode(code: string, first = false): string[] {
  const file = ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, false, ts.ScriptKind.TS)
  const out: string[] = []
  const literals = (n: ts.Node): void => {
    if (ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n)) out.push(n.text)
    else if (ts.isConditionalExpression(n)) [n.whenTrue, n.whenFalse].forEach(literals)
    else if (ts.isParenthesizedExpression(n)) literals(n.expression)
    else if (ts.isBinaryExpression(n) && n.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken) [n.left, n.right].forEach(literals)
  }
  let done = false
  const visit = (n: ts.Node): void => {
    if (done) return
    if (ts.isCallExpression(n) && ts.isIdentifier(n.expression) && ['t', '$t', 'tr'].includes(n.expression.text) && n.arguments[0]) {
      literals(n.arguments[0])
      if (first) done = true
    }
    ts.forEachChild(n, visit)
  }
  visit(file)
  return out
}
