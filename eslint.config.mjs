import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

const noClock = [
  { object: 'Date', property: 'now', message: 'core has no clock: take `now` in.' },
  { object: 'Math', property: 'random', message: 'core has no randomness: take a seed in.' },
]

export default ts.config(
  { ignores: ['dist/**', 'node_modules/**', '.local/**'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } }, rules: { 'no-undef': 'off' } },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...noClock],
      'no-restricted-syntax': ['error', { selector: "NewExpression[callee.name='Date']", message: 'core has no clock: take `now` in.' }],
    },
  },
)
