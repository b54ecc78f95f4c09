import type { LotView } from '~~/core/ledger'
import { type SulphiteSalt, stockSolutionMl } from '~~/core/sulphite'
import { type LotDose, isKept, roundDose, walkingOrder } from '~~/core/stages'
import { MATERIALS } from '~~/core/materials'
import { addition, reading } from '~~/core/drafts'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const STOCK_G_PER_L = MATERIALS['potassium-metabisulphite'].stockGPerL!

export interface RoundLine extends LotDose {
  lot: LotView
  measured: boolean
  /** As a stock solution; none where it keeps. */
  stockMl: number
}

/**
 * The month's round: of all wines that are kept with sulphite, in the order of the walk, what is free and what goes in; one list to weigh
 * by, and one stock solution for the day.
 */
export function useSulphiteRound() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const now = useNow()
  const logged = useLogged()
  const salt = computed<SulphiteSalt>(() => settings.values.salt)
  const lots = computed(() =>
    walkingOrder(
      cellar.lots.filter(isKept),
      [...cellar.state.vessels.keys()],
      now.value
    )
  )
  /** Nobody has measured its free SO₂: what was never given counts as none, and a reading makes the dose better. */
  const unread = computed(() => lots.value.filter((l) => l.series.freeSo2 === undefined))
  const lines = computed<RoundLine[]>(() =>
    lots.value.flatMap((lot) => {
      const dose = roundDose(lot, salt.value)
      if (!dose) return []
      const measured = lot.freeSo2?.origin === 'measured'
      return [{ ...dose, lot, measured, stockMl: stockSolutionMl(dose.grams, STOCK_G_PER_L) }]
    })
  )
  const toDose = computed(() => lines.value.filter((l) => l.grams > 0))
  const totalG = computed(() => toDose.value.reduce((sum, l) => sum + l.grams, 0))
  const stockMl = computed(() => toDose.value.reduce((sum, l) => sum + l.stockMl, 0))

  const read = async (lot: LotView, typed: string, value: number) => {
    const done = await cellar.log([reading({ lotId: lot.id, quantity: 'freeSo2', typed, value })])
    if (done) logged(`Free SO₂ of ${lot.name} logged`)
    return done
  }
  async function wentIn(line: RoundLine, actual: number, byStock: boolean) {
    const draft = addition(
      { lotId: line.lot.id, material: salt.value, planned: line.grams, actual, byStock, purpose: 'monthly round' },
      cellar.state.cards
    )
    if (await cellar.log([draft])) logged(`${line.lot.name}: logged`)
  }
  return { lines, unread, toDose, totalG, stockMl, salt, read, wentIn, stockGPerL: STOCK_G_PER_L }
}
