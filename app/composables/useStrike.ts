import { useMessage } from '~/composables/useMessage'
import { useCellarStore } from '~/stores/cellar'
/**
 * Deletes an entry that belongs to no lot: a sample, a note, something expected. It stays in the file, marked; undo is beside
 * it.
 */
export function useStrike() {
  const cellar = useCellarStore()
  const message = useMessage()
  return async (id: string, title: string, reason: string) => {
    const standing = cellar.facts.find((f) => f.fact.id === id)
    if (!standing || !(await cellar.strike([id], reason))) return
    message({
      title,
      color: 'neutral',
      orientation: 'horizontal',
      actions: [{ label: 'Undo', size: 'md', variant: 'outline', onClick: () => void cellar.undoCorrection(standing.fact) }]
    })
  }
}
