import type { SheetText } from './sheetEn'

const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#+!|~])/g, '\\$1').replace(/\r?\n/g, ' / ')
const list = (items: string[], bullet = '-') => items.map((i) => `${bullet} ${plain(i)}`).join('\n')

/** A list to tick; typed text is escaped. */
export const listMarkdown = (items: readonly string[]): string => items.map((x) => `- [ ] ${plain(x)}`).join('\n')

/** A take-home sheet as Markdown; names and other typed text are escaped. */
export function sheetMarkdown(t: SheetText): string {
  const blocks = [
    `# ${plain(t.who)}`,
    `${plain(t.what)}  \n${plain(t.house)} · ${plain(t.workshop)}${t.date ? ` · ${t.date}` : ''}`,
    `## ${t.headline}: ${plain(t.when)}`,
    t.never && `**${plain(t.never)}**`,
    t.why && `${plain(t.why)}${t.mark === 'E' ? ` (${t.titles.mark})` : ''}`,
    t.chain.map((c) => (c.done ? `**${c.word}**` : c.word)).join(' → '),
    t.stepsTitle && `### ${t.stepsTitle}`,
    t.steps.map((s, i) => `${i + 1}. **${s.title}.** ${s.text.replace(/\n/g, ' / ')}`).join('\n'),
    t.bag.length > 0 && `### ${t.titles.bag}\n\n${list(t.bag, '- [ ]')}`,
    t.faults.length > 0 && `### ${t.titles.whatIf}\n\n${list(t.faults.map((f) => `${f.seen}: ${f.now}`))}`,
    t.cautions.length > 0 && `### ${t.titles.care}\n\n${list(t.cautions)}`,
    `${plain(t.care)}\n\n**${plain(t.ask)}**`,
  ]
  return blocks.filter(Boolean).join('\n\n') + '\n'
}
