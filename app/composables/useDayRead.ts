import type { Fact, LotView } from '~~/core/ledger'
import { dayHere, sayClock } from '~/wording/days'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'

/** One look at a lot: what was read, done and noted within a quarter of an hour. */
export interface DayLine {
  id: string
  lot: LotView
  time: string
  gravity: string
  celsius?: number
  /** Everything else, in the ledger's words. */
  rest: string[]
}

/** What is logged within it is one look. Ours. */
const TOGETHER_MS = 15 * 60_000
const ON_A_ROUND: ReadonlySet<Fact['type']> = new Set<Fact['type']>(['reading', 'operation', 'observation', 'addition', 'inoculation'])

/** What the round of a day found, look by look, in the order of the lots. */
export function useDayRead(day: () => string) {
  const cellar = useCellarStore()
  const story = useStory()
  return computed<DayLine[]>(() => {
    const lines: (DayLine & { at: number })[] = []
    const facts = cellar.facts.filter(({ fact, struck }) => !struck && ON_A_ROUND.has(fact.type) && dayHere(fact.at) === day())
    for (const { fact } of facts.toReversed()) {
      const lot = 'lotId' in fact && fact.lotId ? cellar.lotOf(fact.lotId) : undefined
      if (!lot) continue
      const at = Date.parse(fact.at)
      let line = lines.findLast((l) => l.lot.id === lot.id && at - l.at < TOGETHER_MS)
      if (!line) lines.push(line = { id: fact.id, lot, at, time: sayClock(fact.at), gravity: '', rest: [] })
      if (fact.type === 'reading' && fact.quantity === 'sg' && !line.gravity) line.gravity = fact.value.toFixed(3)
      else if (fact.type === 'reading' && fact.quantity === 'brix' && !line.gravity) line.gravity = `${fact.value} °Brix`
      else if (fact.type === 'reading' && fact.quantity === 'temperature' && line.celsius === undefined) line.celsius = fact.value
      else line.rest.push(story.said(fact))
    }
    const place = new Map([...cellar.state.lots.keys()].map((id, i) => [id, i]))
    return lines.sort((a, b) => place.get(a.lot.id)! - place.get(b.lot.id)! || a.at - b.at)
  })
}
