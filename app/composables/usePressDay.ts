import { fact, transfer } from '~~/core/drafts'
import { vesselFit } from '~~/core/cellar'
import { type PressMethod, pressDay } from '~~/core/fermentation'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { pressAsk } from '~~/core/stages'
import { newId } from '~/data/ids'

/** Press day of one lot: whether, what it gives, what fits where, and the entries that it makes. */
export function usePressDay(lot: LotView) {
  const cellar = useCellarStore()
  const now = useNow()
  const method = ref<PressMethod>(lot.plan.press)
  const tannin = ref<'soft' | 'ripe' | 'harsh'>('soft')
  const day = computed(() =>
    withinLimits(() => pressDay({ ...pressAsk(lot, now.value, tannin.value), method: method.value }))
  )
  const apart = ref<boolean>()
  const keepsApart = computed(() => apart.value ?? day.value?.findings.some((f) => f.code === 'apart') ?? false)
  const free = useVolumeField()
  const pressed = useVolumeField({ required: false })
  const freeVessel = ref('')
  const pressVessel = ref('')

  /** Empty vessels with how full they would be; those that are too small say so. */
  const placesFor = (litres: number) => {
    const room = (lot.sg?.value ?? 1) > 1 ? 'foam' : 'none'
    const FIT = { 'too-small': 'too small', tight: 'no room for foam', fits: 'fits', roomy: 'too large' } as const
    return [...cellar.state.vessels.values()]
      .filter((v) => !v.lotId && !v.retiredAt)
      .map((v) => ({ vessel: v, fit: withinLimits(() => vesselFit(v.capacityL, litres, room)) }))
      .sort((a, b) => fullness(b.fit) - fullness(a.fit))
      .map(({ vessel, fit }) => ({
        value: vessel.id,
        label: `${vessel.name}: ${fit ? `${Math.round(Math.min(9.99, fit.fullShare) * 100)} % full, ${FIT[fit.verdict]}` : ''}`
      }))
  }
  const NOWHERE = { value: '', label: 'No vessel named' }
  const freePlaces = computed(() => [...placesFor(free.value ?? day.value?.freeRunL.mid ?? 10), NOWHERE])
  const pressPlaces = computed(() => [
    ...placesFor(pressed.value ?? day.value?.pressL.mid ?? 3).filter((p) => p.value !== freeVessel.value),
    NOWHERE
  ])
  /** By the pressing a must gives up what its skins held: only what was measured as wine is known. */
  async function log(): Promise<boolean> {
    free.touch()
    pressed.touch()
    if (!free.ok || !pressed.ok) return false
    const [freeL, pressL] = [free.value!, pressed.value ?? 0]
    const total = freeL + pressL
    const from = [...lot.contents.entries()].sort((a, b) => b[1] - a[1])[0]?.[0] ?? ''
    const held = Math.max(lot.contents.get(from) ?? lot.volume.value, total)
    const move = (to: { lotId: string, vesselId?: string | undefined }, litres: number): Draft<Fact> => {
      const outL = (held * litres) / total
      return transfer({
        purpose: 'press',
        from: { lotId: lot.id, ...(from && { vesselId: from }) },
        to: { lotId: to.lotId, ...(to.vesselId && { vesselId: to.vesselId }) },
        outL,
        leesL: outL - litres
      })
    }
    const entries: Draft<Fact>[] = []
    if (pressL > 0 && keepsApart.value) {
      const pressId = newId()
      entries.push(
        fact('lot-started', {
          lotId: pressId,
          name: `${lot.name.slice(0, 66)}, press wine`,
          stream: 'blend',
          style: lot.style,
          varieties: [...lot.varieties],
          vintage: lot.vintage,
          origin: lot.origin,
          massKg: undefined,
          volumeL: 0,
          volumeIs: 'measured',
          onSkins: undefined,
          vesselId: undefined,
          kit: undefined,
          arrivalId: undefined
        }),
        move({ lotId: pressId, vesselId: pressVessel.value }, pressL),
        move({ lotId: lot.id, vesselId: freeVessel.value }, freeL)
      )
    }
    else if (pressL > 0 && pressVessel.value && pressVessel.value !== freeVessel.value)
      entries.push(move({ lotId: lot.id, vesselId: pressVessel.value }, pressL), move({ lotId: lot.id, vesselId: freeVessel.value }, freeL))
    else entries.push(move({ lotId: lot.id, vesselId: freeVessel.value }, total))
    return (await cellar.log(entries)) !== undefined
  }
  return { method, tannin, day, apart, keepsApart, free, pressed, freeVessel, pressVessel, freePlaces, pressPlaces, log }
}

/** The best fit comes first: nearly full, but with room. */
const fullness = (fit: ReturnType<typeof vesselFit> | undefined): number => (!fit || fit.verdict === 'too-small' ? -1 : fit.fullShare)
