import { leftOutTask, type CrushStepCode } from '~~/core/advice'
import { SO2_SHARE, type SulphiteSalt } from '~~/core/sulphite'
import type { Draft, Fact, LotState } from '~~/core/ledger'

type Stage = { number: number, of: number }

/** Writes what happened at a step of crush day, and says it with the way back beside it. */
export function useStepLog(lot: () => LotState) {
  const cellar = useCellarStore()
  const logged = useLogged()
  const saving = ref(false)

  async function write(drafts: Draft<Fact>[], title: string): Promise<boolean> {
    saving.value = true
    const written = await cellar.log(drafts)
    saving.value = false
    if (!written) return false
    logged(title)
    return true
  }

  const leaveOut = (code: CrushStepCode) => write([{ type: 'task-ended', lotId: lot().id, task: leftOutTask(code), outcome: 'skipped' }], 'Left out')

  /** An addition as it went in; by the stock solution where the scale is too coarse. */
  function addition(material: string, planned: number, actual: number, byStock: boolean, more: { purpose?: string, at?: string | undefined, stage?: Stage } = {}): Draft<Fact> {
    const salt = material in SO2_SHARE ? SO2_SHARE[material as SulphiteSalt] : undefined
    const { purpose, at, stage } = more
    const grams = byStock ? actual * STOCK_G_PER_L / 1000 : actual
    const common = { type: 'addition' as const, lotId: lot().id, ...(purpose && { purpose }), ...(at && { at }), ...(stage && { stage }) }
    return byStock && salt !== undefined
      ? { ...common, material: 'sulphite-stock', unit: 'mL', planned: Number((planned / STOCK_G_PER_L * 1000).toPrecision(4)), actual, so2Share: salt * STOCK_G_PER_L / 1000 }
      : { ...common, material, unit: 'g', planned: Number(planned.toPrecision(4)), actual: grams, ...(salt !== undefined && { so2Share: salt }) }
  }
  return { saving, write, leaveOut, addition }
}
