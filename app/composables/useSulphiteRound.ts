import { type LotView, isHeld, isWine, keptAt } from '~~/core/ledger'
import { type SulphiteSalt, SO2_SHARE, TOTAL_LIMIT, stockSolutionMl } from '~~/core/sulphite'
import { walkingOrder } from '~~/core/stages'
import { MATERIALS } from '~~/core/materials'
import { addition, reading } from '~~/core/drafts'

/** A dose keeps it for the weeks until the next round, not only for today: this share above its level. Common practice, no source. */
const AHEAD = 1.2
/** A dose that a titration could not tell from none, mg/L. */
const LEAST_ADD = 4
const STOCK_G_PER_L = MATERIALS['potassium-metabisulphite'].stockGPerL!

export interface RoundLine {
  lot: LotView
  freeMgPerL: number
  measured: boolean
  targetMgPerL: number
  /** mg/L that goes in, and the grams of the salt for it; none where it keeps. */
  addMgPerL: number
  grams: number
  stockMl: number
  /** Of the total after it. */
  overLimit: boolean
  belowAt?: { low: string, mid: string, high: string }
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
      cellar.lots.filter((l) => isHeld(l) && isWine(l) && l.plan.sulphite !== 'none' && (l.malolactic === 'done' || l.malolactic === 'not-wanted')),
      [...cellar.state.vessels.keys()],
      now.value
    )
  )
  /** Not ready for a dose, and why. */
  const unread = computed(() => lots.value.filter((l) => !l.ph || !l.freeSo2))
  const lines = computed<RoundLine[]>(() =>
    lots.value.flatMap((lot) => {
      if (!lot.ph || !lot.freeSo2) return []
      const [freeMgPerL, targetMgPerL] = [lot.freeSo2.value, keptAt(lot)]
      const { upkeep } = lot
      const bound = lot.boundShare
      const short = targetMgPerL * AHEAD - freeMgPerL
      const wants = freeMgPerL < targetMgPerL + 1 && short / (1 - bound) >= LEAST_ADD
      const addMgPerL = wants ? short / (1 - bound) : 0
      const grams = (addMgPerL * lot.volume.value) / 1000 / SO2_SHARE[salt.value]
      return [
        {
          lot,
          freeMgPerL,
          measured: lot.freeSo2.origin === 'measured',
          targetMgPerL,
          addMgPerL,
          grams,
          stockMl: stockSolutionMl(grams, STOCK_G_PER_L),
          overLimit: (lot.totalSo2?.value ?? 0) + addMgPerL > TOTAL_LIMIT[lot.style],
          ...(upkeep?.belowAt && { belowAt: upkeep.belowAt })
        }
      ]
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
      { lotId: line.lot.id, material: salt.value, planned: line.grams, actual, byStock, purpose: 'the month’s round' },
      cellar.state.cards
    )
    if (await cellar.log([draft])) logged(`${line.lot.name}: it is in`)
  }
  return { lines, unread, toDose, totalG, stockMl, salt, read, wentIn, stockGPerL: STOCK_G_PER_L }
}
