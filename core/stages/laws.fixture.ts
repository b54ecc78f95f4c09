import { type CellarState, type Entry, type LotView, drynessOf, extend, foldCellar, historyOf, lotAt } from '../ledger'
import { cardOf } from '../materials'
import { SO2_SHARE, TOTAL_LIMIT } from '../sulphite'
import { type StageFinding, findingsOf, tasksOf } from '.'

/** Everything that is said of one lot at an instant. */
export interface Said {
  lot: LotView
  cellar: CellarState
  now: string
  tasks: readonly StageFinding[]
  findings: readonly StageFinding[]
}

/** No lot is told both of a pair at once: they contradict each other, or one asks for what the other makes pointless or harmful. */
export const CONTRADICTIONS: readonly (readonly [string, string])[] = [
  ['too-hot', 'too-cold'],
  ['temperature-rises', 'temperature-falls'],
  ['stuck', 'tell-if-dry'],
  ['stuck', 'confirm-dryness'],
  ['stuck', 'feed'],
  ['stuck', 'stir-must'],
  ['stuck', 'start-malolactic'],
  ['tell-if-dry', 'confirm-dryness'],
  ['tell-if-dry', 'stir-must'],
  ['not-begun', 'stuck'],
  ['not-begun', 'stir-must'],
  ['read-ferment', 'rack-gross-lees'],
  ['read-ferment', 'sulphite-low'],
  ['read-ferment', 'measure-wine'],
  ['read-ferment', 'look-at-clarity'],
  ['read-ferment', 'top-up'],
  ['read-ferment', 'sulphite-must'],
  ['read-ferment', 'pitch'],
  ['confirm-dryness', 'top-up'],
  ['confirm-dryness', 'sulphite-low'],
  ['sulphite-low', 'start-malolactic'],
  ['sulphite-low', 'follow-malolactic'],
  ['sulphite-low', 'malolactic-stands'],
  ['sulphite-low', 'sulphite-after-malolactic'],
  ['check-sulphite', 'sulphite-low'],
  ['check-sulphite', 'start-malolactic'],
  ['check-sulphite', 'follow-malolactic'],
  ['start-malolactic', 'malolactic-wanted'],
  ['start-malolactic', 'malolactic-early'],
  ['malolactic-early', 'stuck'],
  ['start-malolactic', 'follow-malolactic'],
  ['start-malolactic', 'sulphite-after-malolactic'],
  ['start-malolactic', 'geraniums'],
  ['start-malolactic', 'malolactic-blocked'],
  ['rack-gross-lees', 'rack-again'],
  ['rack-gross-lees', 'stir-lees'],
  ['stir-lees', 'rack-again'],
  ['taste-oak', 'oak-out'],
  ['taste-wood', 'out-of-wood'],
  ['lay-down', 'weak-bottles'],
  ['lay-down', 'sweet-bottles'],
  ['lay-down', 'over-pressure'],
  ['taste-bottle', 'weak-bottles'],
  ['taste-bottle', 'drink-up']
]

const codes = ({ tasks, findings }: Said): Set<string> => new Set([...tasks, ...findings].map((x) => x.code))

/** A wine that is asked to have more put in than its limit lets: by how much, where it is. */
function doseOverLimit({ lot, cellar, tasks }: Said): string | undefined {
  for (const { code, amounts } of tasks) {
    for (const { material, amount, unit } of amounts ?? []) {
      if (unit === 'pieces' || lot.volume.value <= 0) continue
      if (material === 'potassium-metabisulphite') {
        const total = (lot.totalSo2?.value ?? 0) + (amount * SO2_SHARE[material] * 1000) / lot.volume.value
        if (total > TOTAL_LIMIT[lot.style] + 1) return `${code}: total of ${total.toFixed(0)} mg/L`
      }
      const card = cardOf(material, cellar.cards)
      const before = lot.added.get(material)?.actual ?? 0
      const counted = card?.limit && (card.kind === 'nutrient' || card.kind === 'stabiliser')
      if (counted && (before + amount) / lot.volume.value > card.limit!.perL * 1.02) return `${code}: ${material} over its limit`
    }
  }
  return undefined
}

/** A part drawn off into a lot of its own is the same wine: what is proved of the whole is proved of it. */
function proofLost(entries: readonly Entry[], { lot, now }: Said): string | undefined {
  const dry = drynessOf(lot)
  if (!dry || lot.volume.value < 1 || lot.contents.size > 0) return undefined
  const when = { device: 't', at: now, written: now }
  const part = 'lot-drawn-off'
  const named = { name: 'Part', stream: lot.stream === 'kit' || lot.stream === 'test' ? 'juice' : lot.stream, style: lot.style } as const
  const split: Entry[] = [
    { id: 'drawn-off-1', type: 'lot-started', lotId: part, varieties: [], volumeL: 0, volumeIs: 'measured', ...named, ...when },
    {
      id: 'drawn-off-2', type: 'transfer', purpose: 'split', from: { lotId: lot.id }, to: { lotId: part }, outL: lot.volume.value / 2,
      inL: lot.volume.value / 2, ...when
    }
  ]
  const state = extend(historyOf(entries), split).cellar.lots.get(part)
  if (!state) return 'the part is not there'
  const of = lotAt(state, now)
  if (!drynessOf(of)) return 'its proof of dryness is lost'
  if (of.alcoholic !== lot.alcoholic) return `${lot.alcoholic} became ${of.alcoholic}`
  if ((of.bacteriaAt === undefined) !== (lot.bacteriaAt === undefined)) return 'its bacteria are forgotten'
  if (lot.added.has('potassium-sorbate') !== of.added.has('potassium-sorbate')) return 'its sorbate is forgotten'
  if (lot.freeSo2 && Math.abs((of.freeSo2?.value ?? 0) - lot.freeSo2.value) > 0.5) return 'its sulphite is forgotten'
  return undefined
}

/** What holds of everything that is ever said; each gives what is wrong, or nothing. */
export const LAWS: Readonly<Record<string, (said: Said, entries: readonly Entry[]) => string | undefined>> = {
  'nothing fails': ({ tasks, findings }) => [...tasks, ...findings].find((x) => x.code === 'part-broken')?.key,
  'no contradiction': (said) => {
    const all = codes(said)
    return CONTRADICTIONS.find(([a, b]) => all.has(a) && all.has(b))?.join(' beside ')
  },
  'no dose over a limit': doseOverLimit,
  'proofs outlive a move': (said, entries) => proofLost(entries, said),
  'a decision has ways out': ({ tasks }) => {
    const stands = tasks.find((t) => ['stuck', 'tell-if-dry', 'not-begun', 'malolactic-stands', 'malolactic-wanted', 'malolactic-early'].includes(t.code) && !t.waysOut?.length)
    return stands?.key
  },
  'a task leads somewhere': ({ tasks }) => tasks.find((t) => t.action === undefined && !t.waysOut?.length && !t.waysRound?.length && !PLAIN.has(t.code))?.key,
  // A form that opens on another work or another powder is one tap from a wrong one.
  'a form is opened on what is meant': ({ tasks, findings, cellar }) =>
    [...tasks, ...findings].flatMap((x) => [x.action, ...(x.waysOut ?? []).map((way) => way.action)].map((action) => ({ key: x.key, action })))
      .find(({ action }) => {
        if (action?.to !== 'lot') return false
        if (action.log === 'addition') return !action.what || !cardOf(action.what, cellar.cards)
        return action.log === 'operation' && !action.what
      })?.key,
  'a wine has a next move, or a date': ({ lot, tasks }) =>
    lot.standing === 'wine' && lot.stream !== 'test' && lot.volume.value > 0.05 && tasks.length === 0 && lot.endedTasks.size === 0
      ? 'nothing is asked, and nothing is to come'
      : undefined,
  'nothing is fed late': ({ lot, tasks, now }) => {
    const since = lot.inoculatedAt === undefined ? 0 : (Date.parse(now) - Date.parse(lot.inoculatedAt)) / 86_400_000
    return since > 21 ? tasks.find((t) => t.code === 'feed')?.key : undefined
  }
}
/** Done with the hands and a tap: nowhere to go for it. */
const PLAIN = new Set<string>(['lay-down', 'pour-off-lees', 'crush-step', 'clock', 'packet', 'wash-vessel', 'bottles-lie'])

/** Everything that is said of every lot of a cellar at an instant. */
export function saidOfAll(entries: readonly Entry[], now: string): Said[] {
  const cellar = foldCellar(entries)
  return [...cellar.lots.values()].map((state) => {
    const lot = lotAt(state, now)
    return { lot, cellar, now, tasks: tasksOf(lot, cellar, now), findings: findingsOf(lot, cellar, now) }
  })
}
