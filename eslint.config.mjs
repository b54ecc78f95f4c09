// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

const CORE_MESSAGE = 'core/ is pure: no framework, no storage, no Node API, nothing from outside core/.'
const outside = [
  { regex: '^(vue|vue-router|pinia|nuxt|dexie|apexcharts|vue3-apexcharts|h3|nitropack)($|/)', message: CORE_MESSAGE },
  { regex: '^(@nuxt|@vue|@vueuse|@pinia)/', message: CORE_MESSAGE },
  { regex: '^(#|~|@/|node:)', message: CORE_MESSAGE },
  { regex: '(^|/)(app|server|tests|demo)/', message: CORE_MESSAGE }
]
/** The order in which the folders of the core may know each other: units ← chemistry ← ledger ← advice. */
const above = folders => ({ regex: `^\\.\\./(${folders.join('|')})($|/)`, message: 'Imports in core/ run one way: units ← chemistry ← ledger ← advice.' })

export default withNuxt(
  { name: 'presk/ignores', ignores: ['coverage/**', 'playwright-report/**', 'test-results/**', '.output/**'] },
  { name: 'presk/style', rules: { '@stylistic/arrow-parens': 'off', '@stylistic/max-statements-per-line': 'off', '@stylistic/quote-props': 'off', '@stylistic/operator-linebreak': 'off', '@stylistic/multiline-ternary': 'off', '@stylistic/indent-binary-ops': 'off', '@stylistic/comma-dangle': ['error', 'never'], '@stylistic/quotes': ['error', 'single', { avoidEscape: true, allowTemplateLiterals: 'always' }], 'vue/max-attributes-per-line': 'off', 'vue/singleline-html-element-content-newline': 'off', 'vue/multiline-html-element-content-newline': 'off', 'vue/first-attribute-linebreak': 'off', 'vue/html-closing-bracket-newline': 'off', 'vue/html-self-closing': 'off', 'vue/require-default-prop': 'off', 'vue/multi-word-component-names': 'off' } },
  {
    name: 'presk/core-boundary',
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: outside }],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'indexedDB', 'fetch', 'navigator', 'process']
    }
  },
  { name: 'presk/units-know-nobody', files: ['core/units/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'no-restricted-imports': ['error', { patterns: [...outside, { regex: '^\\.\\./', message: 'units/ is the bottom.' }] }] } },
  { name: 'presk/chemistry-below-ledger', files: ['core/{hydrometry,acids,sulphite,yeast,must,harvest,fermentation,malolactic,finishing,cellar}/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'no-restricted-imports': ['error', { patterns: [...outside, above(['ledger', 'advice'])] }] } },
  { name: 'presk/ledger-below-advice', files: ['core/ledger/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'no-restricted-imports': ['error', { patterns: [...outside, above(['advice'])] }] } }
)
