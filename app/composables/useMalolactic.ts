import { decideMalolactic, readMalic, readPaper, type Spot } from '~~/core/malolactic'
import { fact, inoculation, reading } from '~~/core/drafts'
import type { LotPlan, LotView } from '~~/core/ledger'
import { bacteriaFor, conditionsOf, malolacticCourseOf, malolacticEndedAt, waitedFor } from '~~/core/stages'
import { MALOLACTIC_VERDICT, sayPaper } from '~/wording/looks'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useQuantityField } from '~/composables/useQuantityField'
import { useStepLog } from '~/composables/useStepLog'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

/** A lot's malolactic: wanted or not, what bacteria find, the bacteria in, the looks at it, and its end. */
export function useMalolactic(lot: () => LotView) {
  const cellar = useCellarStore()
  const now = useNow()
  const materials = useMaterials()
  const { saving, write } = useStepLog(lot)
  const decision = computed(() => {
    const { style, stream, ph, plan } = lot()
    return decideMalolactic({
      style,
      stream,
      ...(ph && { ph: ph.value }),
      sweet: plan.finish === 'sweet',
      sparkling: plan.sparkling
    })
  })
  const conditions = computed(() => withinLimits(() => conditionsOf(lot(), cellar.state.cards)))
  const course = computed(() => withinLimits(() => malolacticCourseOf(lot(), cellar.state.cards)))
  const endedAt = computed(() => malolacticEndedAt(lot()))
  const plan = (malolactic: LotPlan['malolactic']) => write([{ type: 'lot-planned', lotId: lot().id, malolactic }], 'Planned')

  /** The culture: one of the person's own cards, or just bacteria. */
  const cultures = computed(() => materials.choices('bacteria'))
  const culture = ref('bacteria')
  const grams = computed(() => bacteriaFor(materials.card(culture.value)?.dose, culture.value !== 'bacteria', lot().volume.value))
  const pitched = (actual: number) =>
    write(
      [
        inoculation({
          lotId: lot().id,
          organism: 'bacteria',
          culture: materials.title(culture.value),
          grams: actual,
          ...(culture.value !== 'bacteria' && { cardKey: culture.value })
        })
      ],
      `Bacteria added to ${lot().name}`
    )

  /** A number, by an enzymatic test or a strip. */
  const malic = useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'malic' })
  const malicVerdict = computed(() => {
    const start = lot().series.malic?.findLast((p) => p.at <= (lot().bacteriaAt ?? ''))?.value
    return malic.value === undefined ? undefined : MALOLACTIC_VERDICT[readMalic(malic.value, start)]
  })
  async function logMalic() {
    malic.touch()
    if (malic.value === undefined) return false
    const done = await write([reading({ lotId: lot().id, quantity: 'malic', typed: malic.text, value: malic.value })], 'Malic acid logged')
    if (done) malic.clear()
    return done
  }

  /** A paper, its spots compared with the standards beside them. */
  const spots = reactive<{ malic?: Spot, lactic?: Spot }>({})
  const paperVerdict = computed(() => (spots.malic && spots.lactic ? MALOLACTIC_VERDICT[readPaper(spots.malic, spots.lactic)] : undefined))
  async function logPaper() {
    const { malic: m, lactic: l } = spots
    if (!m || !l) return false
    const read = { malic: m, lactic: l }
    const seen = { smells: undefined, clarity: undefined, photo: undefined }
    return write(
      [fact('observation', { lotId: lot().id, what: 'chromatogram', text: sayPaper(read), spots: read, ...seen })],
      'Paper logged'
    )
  }

  const bubbles = (text: string) =>
    write(
      [fact(
        'observation',
        { lotId: lot().id, what: 'bubbles', text, smells: undefined, clarity: undefined, spots: undefined, photo: undefined }
      )],
      'Logged'
    )
  const waited = computed(() => waitedFor(lot(), now.value))
  const over = () =>
    write([fact('operation', { lotId: lot().id, what: 'malolactic-over', note: 'by waiting', plan: undefined })], 'Taken as finished')
  return {
    saving, decision, conditions, course, endedAt, plan, cultures, culture, grams, pitched,
    malic, malicVerdict, logMalic, spots, paperVerdict, logPaper, bubbles, waited, over
  }
}
