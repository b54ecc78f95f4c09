import { habitsOf } from '~~/core/way'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** What this cellar's finished lots say of the next, but for what was forgotten on this device. */
export function useHabits() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  return computed(() => habitsOf(cellar.lots, settings.values.forgotten))
}
