import { leftOutTask, type CrushStepCode } from '~~/core/stages'
import { addition as additionDraft } from '~~/core/drafts'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

type Stage = { number: number, of: number }

/** Writes what happened at a step of crush day, and says it with the way back beside it. */
export function useStepLog(lot: () => LotView) {
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

  const leaveOut = (code: CrushStepCode) =>
    write([{ type: 'task-ended', lotId: lot().id, task: leftOutTask(code), outcome: 'skipped' }], 'Left out')

  /** An addition as it went in; by the stock solution where the scale is too coarse. */
  function addition(
    material: string,
    planned: number,
    actual: number,
    byStock: boolean,
    more: { purpose?: string, at?: string | undefined, stage?: Stage } = {}
  ): Draft<Fact> {
    return additionDraft({ lotId: lot().id, material, planned, actual, byStock, ...more }, cellar.state.cards)
  }
  return { saving, write, leaveOut, addition }
}
