import { hoursBetween } from '~~/core/units'
import { fact, reading } from '~~/core/drafts'
import { type KeptReading, windowAfter } from '~~/core/fermentation'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { fermentStart } from '~~/core/stages'
import { newId } from '~/data/ids'
import { seedOf } from './useFeed'
import { useFeed } from '~/composables/useFeed'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'
import { useFollowedStore } from '~/stores/followed'

/** A hand reading and a float's say one thing when they are no further apart. */
const SAME_H = 6

/** A floating hydrometer in a lot's vessel: paired, followed while the page is open, kept thinned, set by a hand reading. */
export function useFollowed(lot: () => LotView) {
  const cellar = useCellarStore()
  const logged = useLogged()
  const instrument = computed(() =>
    [...cellar.state.instruments.values()].findLast((i) => i.kind === 'float' && i.follows?.lotId === lot().id))
  const start = computed(() => fermentStart(lot()) ?? lot().startedAt)
  const followed = useFollowedStore()

  /** What was kept of it already: readings of this lot by this instrument. */
  const keptUpTo = (instrumentId: string): string | undefined => {
    const kept = cellar.facts.find(
      ({ fact: f, struck }) =>
        !struck && f.type === 'reading' && f.lotId === lot().id && f.instrumentId === instrumentId && f.quantity === 'sg'
    )
    return kept?.fact.at
  }
  const feed = useFeed(
    () => {
      const i = instrument.value
      if (!i?.follows || !lot().originalSg) return undefined
      const before = keptUpTo(i.id)
      return {
        path: '/api/instruments/float',
        since: before ? windowAfter(before) : start.value,
        query: {
          seed: i.follows.seed,
          startAt: start.value,
          originalSg: Math.min(1.17, Math.max(1.03, lot().originalSg!.value)).toFixed(4),
          celsius: lot().style === 'red' ? 24 : 15
        }
      }
    },
    (kept) => cellar.log(kept.flatMap((k) => entriesOf(k, instrument.value!.id)))
  )
  watch(feed.findings, (wrong) => followed.say(lot().id, wrong))

  function entriesOf(k: KeptReading, instrumentId: string): Draft<Fact>[] {
    const common = { lotId: lot().id, at: k.at, instrumentId }
    return [
      ...(k.sg !== undefined ? [reading({ ...common, quantity: 'sg' as const, typed: k.sg.toFixed(4), value: k.sg })] : []),
      ...(k.celsius !== undefined
        ? [reading({ ...common, quantity: 'temperature' as const, typed: k.celsius.toFixed(1), value: k.celsius })]
        : [])
    ]
  }

  async function pair(): Promise<void> {
    const id = newId()
    const follows = { lotId: lot().id, vesselId: undefined, seed: seedOf(lot().id) }
    await cellar.log([
      fact(
        'instrument-added',
        { instrumentId: id, name: `Float in ${lot().name}`.slice(0, 80), kind: 'float', calibrationC: undefined, step: undefined, follows }
      )
    ])
    await feed.fetchNew()
  }

  /** The last gravity read by hand, with what the float showed at that time as it was sent. */
  const compared = computed(() => {
    const i = instrument.value
    if (!i) return undefined
    const mine = cellar.facts.flatMap(({ fact: f, struck }) =>
      !struck && f.type === 'reading' && f.lotId === lot().id && (f.quantity === 'sg' || f.quantity === 'brix') ? [f] : []
    )
    const hand = mine.find((f) => f.instrumentId !== i.id)
    const point = hand && lot().series.sg?.find((p) => p.entryId === hand.id)
    if (!hand || !point) return undefined
    const float = mine
      .filter((f) => f.instrumentId === i.id && f.quantity === 'sg')
      .map((f) => ({ id: f.id, sg: f.value, off: Math.abs(hoursBetween(hand.at, f.at)) }))
      .sort((a, b) => a.off - b.off)[0]
    if (!float || float.off > SAME_H) return undefined
    // As it counts now, with its checks: once it is set there is nothing left to set.
    const counts = lot().series.sg?.find((p) => p.entryId === float.id)?.value ?? float.sg
    return { hand: point.value, float: float.sg, by: counts - point.value }
  })
  async function setByHand(): Promise<void> {
    const [i, c] = [instrument.value, compared.value]
    if (!i || !c) return
    const offset = Number((c.float - c.hand).toFixed(4))
    const standards = [{ known: Number(c.hand.toFixed(4)), shown: c.float }]
    if (await cellar.log([fact('instrument-checked', { instrumentId: i.id, offset, slope: undefined, standards, adjusted: false })]))
      logged('Float adjusted to your reading')
  }

  return { instrument, ...feed, compared, pair, setByHand }
}
