import { useMessage } from '~/composables/useMessage'
import { useCellarStore } from '~/stores/cellar'
/** Says what was logged, with the way back beside it. */
export function useLogged() {
  const message = useMessage()
  const cellar = useCellarStore()
  return (title: string) => {
    // What this message is about, not what may have been logged since.
    const ids = cellar.lastAction.map((e) => e.id)
    message({
      title,
      color: 'primary',
      orientation: 'horizontal',
      actions: [{ label: 'Undo', size: 'md', variant: 'outline', onClick: () => void cellar.strike(ids, 'Undone') }]
    })
  }
}
