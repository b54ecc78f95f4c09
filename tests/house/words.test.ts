import { readFileSync, readdirSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { parse } from 'vue/compiler-sfc'

/** docs/words.md says which word to use instead. */
const BANNED: readonly (readonly [string, RegExp])[] = [
  ['shall', /\bshall\b/i],
  ['through, for finished', /\b(?:is|are|nearly|be) through\b/i],
  ['lies', /\blies\b|\b(?:wines|they|lots|bottles|readings) lie\b/i],
  ['stands at, in, by', /\b(?:it|that|which|wine|everything|must) stands\b|\bstands (?:at|in|by|on|here|there|still)\b/i],
  ['strike', /\bstr(?:ike|uck)\b(?! match)/i],
  ['leave it, alone', /^(?:seen, )?leave it\.?$/i],
  ['school', /\bschool(s|ed|ing)?\b/i],
  ['ledger', /\bledger\b/i],
  ['foretold', /\bfore(?:told|tell)\b/i],
  ['bear, for tolerate', /\bbears?\b|\bborne\b/i],
  ['reckon', /\breckon/i],
  ['went over', /\bwent over\b/i],
  ['put it right', /\b(?:put|set) (?:it )?right\b/i],
  ['bring in, take in', /\b(?:bring|take) (?:it |them )?in\b/i],
  ['words of the trade', /\bof the trade\b/i],
  ['whoever, whatever', /\bwhoever\b/i],
  ['wants at least', /\b(?:wants|asks for) (?:at least|at most|its|more)\b/i],
  ['no more, for not any more', /\bis (?:fed|asked|done) no more\b/i],
  ['of one’s own', /\bof one’s own\b/i],
  ['all the same', /\ball the same\b/i]
]
/** What is read by people, of the attributes that a component takes. */
const READ = new Set(['label', 'hint', 'title', 'lead', 'legend', 'placeholder', 'description', 'help', 'aria-label', 'send', 'caption'])

/** Strings of code that are read by people: more than a word, or one with a capital. */
function* strings(source: string): Generator<string> {
  const file = ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true)
  const all: string[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) all.push(node.text)
    ts.forEachChild(node, visit)
  }
  visit(file)
  yield* all.filter((text) => /[a-z’]{2,} [a-z]/i.test(text) || /^[A-Z][a-z]{2,}/.test(text))
}

type Template = NonNullable<NonNullable<ReturnType<typeof parse>['descriptor']['template']>['ast']>
function* ofTemplate(nodes: Template['children']): Generator<string> {
  for (const node of nodes) {
    if (node.type === 2) yield node.content
    if (node.type === 5) yield* strings(`(${node.content.loc.source})`)
    if (node.type !== 1) continue
    for (const prop of node.props) {
      if (prop.type === 6 && READ.has(prop.name)) yield prop.value?.content ?? ''
      if (prop.type === 7 && prop.name === 'bind' && prop.exp) yield* strings(`(${prop.exp.loc.source})`)
    }
    yield* ofTemplate(node.children)
  }
}

function* wordsOf(file: string): Generator<string> {
  const source = readFileSync(file, 'utf8')
  if (!file.endsWith('.vue')) return yield* strings(source)
  const { descriptor } = parse(source)
  yield* strings(descriptor.scriptSetup?.content ?? '')
  yield* ofTemplate(descriptor.template?.ast?.children ?? [])
}

/** What the screens say, and how the calculations describe themselves. */
const FILES = ['app', 'server'].flatMap((room) =>
  readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.(ts|vue)$/.test(f) && !/\.test\.ts$|\/fixtures\//.test(f))
    .map((f) => `${room}/${f}`))

describe('words people use', () => {
  it('reads the whole interface', () => expect(FILES.flatMap((f) => [...wordsOf(f)]).length).toBeGreaterThan(2000))
  it.each(BANNED)('nobody says: %s', (_what, pattern) => {
    const said = FILES.flatMap((file) => [...wordsOf(file)].filter((text) => pattern.test(text)).map((text) => `${file}: ${text.trim()}`))
    expect(said).toEqual([])
  })
  it('a difference of temperatures has its “within” in the same text, or it would be converted as a temperature', () => {
    const apart = /within\s*\{\{[^}]*degrees\(['`][^w]/
    expect(FILES.filter((file) => apart.test(readFileSync(file, 'utf8')))).toEqual([])
    expect(apart.test("stirred in within {{ f.degrees('6 °C') }}")).toBe(true)
  })
  it('finds what is planted', () => {
    for (const [what, text] of [['shall', 'It shall be red'], ['ledger', 'In the ledger now'], ['strike', 'Struck by hand']] as const)
      expect(BANNED.find(([name]) => name === what)![1].test(text)).toBe(true)
  })
})
