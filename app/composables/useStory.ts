import { type Fact, type StandingFact, restatedValue } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { sayFact, sayRestated } from '~/wording/sentences'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

export interface StoryLine {
  id: string
  at: string
  when: string
  lotId?: string
  lot: string
  text: string
  struck: boolean
  standing: StandingFact
}

const lotOf = (fact: Fact): string | undefined => ('lotId' in fact ? fact.lotId : fact.type === 'transfer' ? fact.from.lotId : undefined)

/** The ledger as sentences, newest first. */
export function useStory() {
  const cellar = useCellarStore()
  const f = useFormat()
  const now = useNow()
  const materials = useMaterials()

  const names = {
    lot: (id: string) => cellar.lotOf(id)?.name ?? 'another lot',
    vessel: (id: string | undefined) => (id ? (cellar.state.vessels.get(id)?.name ?? 'another vessel') : 'no vessel named'),
    instrument: (id: string) => cellar.state.instruments.get(id)?.name ?? 'an instrument',
    material: materials.name
  }

  /** What a reading counts as, where a check of its instrument or its sample's temperature makes it another. */
  function restatedOf({ fact, struck }: StandingFact): string {
    const lot = fact.type === 'reading' && !struck ? cellar.lotOf(fact.lotId) : undefined
    if (fact.type !== 'reading' || !lot) return ''
    const is = restatedValue(lot, fact)
    const instrument = fact.instrumentId ? cellar.state.instruments.get(fact.instrumentId) : undefined
    return is === undefined ? '' : sayRestated(fact, is, f, instrument?.checks.length ? instrument.name : undefined)
  }

  const tell = (standing: StandingFact): StoryLine => {
    const { fact } = standing
    const lot = lotOf(fact)
    return {
      id: fact.id,
      at: fact.at,
      when: sayWhen(fact.at, now.value),
      lot: lot ? names.lot(lot) : '',
      text: sayFact(fact, f, names) + restatedOf(standing),
      struck: standing.struck,
      standing,
      ...(lot && { lotId: lot })
    }
  }

  const isFollowed = (fact: Fact) =>
    fact.type === 'reading' && fact.instrumentId !== undefined && cellar.state.instruments.get(fact.instrumentId)?.kind === 'float'
  /** The latest of all lots, struck ones left out, and what an instrument logs by itself. */
  const latest = (most: number): StoryLine[] => first(most, (s) => !s.struck && lotOf(s.fact) !== undefined && !isFollowed(s.fact))

  /** One lot's ledger, with what came into it from others; of it what is wanted. */
  const linesOf = (lotId: string, most: number, wanted: (standing: StandingFact) => boolean = () => true): StoryLine[] =>
    first(most, (s) => (lotOf(s.fact) === lotId || (s.fact.type === 'transfer' && s.fact.to.lotId === lotId)) && wanted(s))

  /** Certain entries, of whatever lot: what a figure rests on. */
  const told = (ids: ReadonlySet<string>): StoryLine[] => first(ids.size, (s) => ids.has(s.fact.id))

  function first(most: number, wanted: (standing: StandingFact) => boolean): StoryLine[] {
    const found: StoryLine[] = []
    for (const standing of cellar.facts) {
      if (found.length >= most) break
      if (wanted(standing)) found.push(tell(standing))
    }
    return found
  }
  /** One fact as a sentence. */
  const said = (fact: Fact): string => sayFact(fact, f, names)
  return { latest, linesOf, told, said, names }
}
