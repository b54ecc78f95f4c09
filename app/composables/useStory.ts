import { type Fact, type StandingFact, standingFacts } from '~~/core/ledger'
import { sayFact } from '~/wording/sentences'

export interface StoryLine { id: string, at: string, when: string, lotId?: string, lot: string, text: string, struck: boolean, standing: StandingFact }

const lotOf = (fact: Fact): string | undefined => 'lotId' in fact ? fact.lotId : fact.type === 'transfer' ? fact.from.lotId : undefined

/** The ledger as sentences, newest first. */
export function useStory() {
  const cellar = useCellarStore()
  const f = useFormat()
  const now = useNow()
  const facts = computed(() => standingFacts(cellar.entries).reverse())

  const names = {
    lot: (id: string) => cellar.state.lots.get(id)?.name ?? 'another lot',
    vessel: (id: string | undefined) => id ? cellar.state.vessels.get(id)?.name ?? 'another vessel' : 'no vessel named',
    instrument: (id: string) => cellar.state.instruments.get(id)?.name ?? 'an instrument'
  }

  /** @param everything also the entries of other lots, which a blend rests on */
  function lines(lotId?: string, everything = false): StoryLine[] {
    const told: StoryLine[] = []
    for (const standing of facts.value) {
      const { fact } = standing
      const lot = lotOf(fact)
      const mine = everything || (lotId === undefined
        ? lot !== undefined && !standing.struck
        : lot === lotId || (fact.type === 'transfer' && fact.to.lotId === lotId))
      if (!mine) continue
      told.push({
        id: fact.id, at: fact.at, when: sayWhen(fact.at, now.value), lot: lot ? names.lot(lot) : '', text: sayFact(fact, f, names), struck: standing.struck, standing, ...(lot && { lotId: lot })
      })
      if (lotId === undefined && told.length >= 20) break
    }
    return told
  }
  return { lines, names }
}

/** "today 07:21", "yesterday 18:05", "Tue 17 Nov", "3 Oct 2025". */
export function sayWhen(at: string, now: string): string {
  const then = new Date(at)
  const today = new Date(now)
  const time = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
  const dayOf = (d: Date) => new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime()
  const daysAgo = Math.round((dayOf(today) - dayOf(then)) / 86_400_000)
  if (daysAgo === 0) return `today ${time}`
  if (daysAgo === 1) return `yesterday ${time}`
  return then.toLocaleDateString('en-GB', then.getFullYear() === today.getFullYear() || daysAgo < 200
    ? { weekday: 'short', day: 'numeric', month: 'short' }
    : { day: 'numeric', month: 'short', year: 'numeric' })
}
