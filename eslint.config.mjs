import { readdirSync } from 'node:fs'
// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

const CORE_MESSAGE = 'core/ is pure: no framework, no storage, no Node API, nothing from outside core/.'
const outside = [
  { regex: '^(vue|vue-router|pinia|nuxt|dexie|apexcharts|vue3-apexcharts|h3|nitropack)($|/)', message: CORE_MESSAGE },
  { regex: '^(@nuxt|@vue|@vueuse|@pinia)/', message: CORE_MESSAGE },
  { regex: '^(#|~|@/|node:)', message: CORE_MESSAGE },
  { regex: '(^|/)(app|server|tests|demo|practice|simulator)/', message: CORE_MESSAGE }
]
/**
 * The rooms of the core, lowest first. A room may know those before it and none after it; the linter holds the order, and that no
 * stage knows another.
 */
const ROOMS = [
  ['units'],
  ['quantities'],
  ['materials'],
  ['hydrometry', 'acids', 'sulphite', 'yeast', 'malolactic', 'cellar', 'racking'],
  ['must', 'harvest', 'fermentation', 'finishing'],
  ['ledger'],
  ['drafts'],
  ['findings'],
  ['stages'],
  ['supplies', 'labels', 'way', 'score', 'compare'],
  ['benches'],
  ['quick']
]
const ORDER = 'Imports in core/ run one way: units ← quantities ← materials ← chemistry ← ledger ← drafts ← findings ← stages '
  + '← supplies, labels and way ← benches ← the quick line.'
const above = folders => ({ regex: `^(\\.\\./)+(${folders.join('|')})($|/)`, message: ORDER })
const roomRules = ROOMS.map((rooms, i) => ({
  name: `presk/room-${rooms.join('-')}`,
  files: rooms.map(room => `core/${room}/**/*.ts`),
  ignores: ['**/*.test.ts', '**/*.fixture.ts'],
  rules: { 'no-restricted-imports': [
    'error',
    { patterns: [...outside, ...i < ROOMS.length - 1 ? [above(ROOMS.slice(i + 1).flat())] : []] }
  ] }
}))
const ONE_DAY = 'Days, months and clocks come from app/wording/days.ts.'
/** Every folder of core/stages: a new one is held by the rule from its first line. */
const STAGES = readdirSync(new URL('core/stages', import.meta.url), { withFileTypes: true }).filter(d => d.isDirectory()).map(d => d.name)
/** What advises on a move has no tasks of its own: it stands on the stages, and none of them on it. */
const ON_STAGES = 'moving'
const stageRules = STAGES.filter(s => s !== ON_STAGES).map(stage => ({
  name: `presk/stage-${stage}`,
  files: [`core/stages/${stage}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': ['error', {
      patterns: [
        ...outside,
        above(['supplies', 'labels', 'way']),
        { regex: `^\\.\\./(${STAGES.filter(s => s !== stage).join('|')})($|/)`, message: 'No stage knows another.' }
      ]
    }]
  }
}))

export default withNuxt(
  { name: 'presk/ignores', ignores: ['coverage/**', 'playwright-report/**', 'test-results/**', '.output/**'] },
  { name: 'presk/style', rules: {
    '@stylistic/arrow-parens': 'off',
    '@stylistic/max-statements-per-line': 'off',
    '@stylistic/quote-props': 'off',
    '@stylistic/operator-linebreak': 'off',
    '@stylistic/multiline-ternary': 'off',
    '@stylistic/indent-binary-ops': 'off',
    '@stylistic/comma-dangle': ['error', 'never'],
    '@stylistic/quotes': ['error', 'single', { avoidEscape: true, allowTemplateLiterals: 'always' }],
    'vue/max-attributes-per-line': 'off',
    'vue/singleline-html-element-content-newline': 'off',
    'vue/multiline-html-element-content-newline': 'off',
    'vue/first-attribute-linebreak': 'off',
    'vue/html-closing-bracket-newline': 'off',
    'vue/html-self-closing': 'off',
    'vue/require-default-prop': 'off',
    'vue/multi-word-component-names': 'off'
  } },
  {
    name: 'presk/core-boundary',
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: outside }],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'indexedDB', 'fetch', 'navigator', 'process']
    }
  },
  {
    name: 'presk/simulator',
    files: ['simulator/**/*.ts'],
    ignores: ['**/*.test.ts'],
    // What judges the advice shares nothing with it.
    rules: { 'no-restricted-imports': ['error', { patterns: [
      { regex: '^(\\.\\./)+(?!core/units$)', message: 'simulator/ knows nothing of Presk but its units and random numbers.' },
      { regex: '^[^.]', message: 'simulator/ needs no package.' }
    ] }] }
  },
  {
    name: 'presk/practice',
    files: ['practice/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [
      { regex: '^(#|~|@/|node:)|(^|/)(app|server|tests|demo)/', message: 'practice/ is pure: it knows core/ and simulator/ only.' }
    ] }] }
  },
  ...roomRules,
  ...stageRules,
  {
    name: 'presk/lines',
    files: ['**/*.{ts,vue,mjs}'],
    // Tables of data may be wide: a case is a line.
    ignores: ['**/*.fixture.ts'],
    rules: { '@stylistic/max-len': [
      'error',
      { code: 140, ignoreRegExpLiterals: true, ignoreUrls: true, ignoreComments: false }
    ] }
  },
  {
    name: 'presk/one-day',
    files: ['{app,core,server,demo}/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', 'app/wording/days.ts'],
    // The UTC day of an instant is another one than the person's for half of the world in the evening.
    rules: { 'no-restricted-syntax': [
      'error',
      { selector: 'CallExpression[callee.property.name="slice"][arguments.0.value=0][arguments.1.value=10]', message: ONE_DAY },
      { selector: 'CallExpression[callee.property.name=/^toLocale(Date|Time)String$/]', message: ONE_DAY },
      { selector: 'NewExpression[callee.property.name="DateTimeFormat"]', message: ONE_DAY }
    ] }
  },
  {
    name: 'presk/no-entries-on-pages',
    files: ['app/pages/**/*.vue', 'app/components/**/*.vue'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: 'core/ledger/schema', message: 'Zod stays with the worker and the files.' }] }
      ]
    }
  }
)
