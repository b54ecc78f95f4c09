import { otherCellars } from '~/data/cellars'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** What the open cellar is called, on its files and pages. */
export function useCellarName() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  return computed(() => {
    if (cellar.isDemo) return 'The Larkrise cellar'
    if (cellar.isPractice) return 'Practice'
    return otherCellars().find((c) => c.id === cellar.which)?.name ?? (settings.values.cellarName || 'My cellar')
  })
}
