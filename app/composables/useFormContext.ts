import type { LotView } from '~~/core/ledger'
import type { FormContext } from '~/forms/spec'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useCellarStore } from '~/stores/cellar'

/** What forms and benches know of their place: the lot as it is now, the cellar, what may go in, and the person's units. */
export function useFormContext(lot: () => LotView | undefined) {
  const cellar = useCellarStore()
  const materials = useMaterials()
  const f = useFormat()
  return computed<FormContext>(() => {
    const given = lot()
    return {
      lot: given && (cellar.lotOf(given.id) ?? given),
      cellar: cellar.state,
      materials: materials.choices,
      card: materials.card,
      volume: (litres) => f.words(f.volume(litres)),
      powder: (grams) => (grams === 0 ? 'none' : f.words(f.powder(grams))),
      own: f.degrees,
      volumeUnit: f.volumeUnit.value,
      massUnit: f.massUnit.value,
      temperatureUnit: f.temperatureUnit.value,
      sugarUnit: f.sugarUnit.value,
      pressureUnit: f.pressureUnit.value
    }
  })
}
