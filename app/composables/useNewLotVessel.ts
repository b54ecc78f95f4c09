import { type RoomFor, type VesselKind, nextName, vesselFit } from '~~/core/cellar'
import { fact } from '~~/core/drafts'
import { newId } from '~/data/ids'
import { vesselWords } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'

const FIT = { 'too-small': 'too small', 'fits': 'fits', 'roomy': 'too large' } as const
const RANK = { 'fits': 0, 'roomy': 1, 'tight': 2, 'too-small': 3 } as const

/**
 * Where a new lot goes: into an empty vessel, a new one, or nowhere yet.
 * @param willBe what it must hold in the end, L, as far as that is known
 * @param room what has to stay free over it
 */
export function useNewLotVessel(willBe: () => number | undefined, room: () => RoomFor) {
  const cellar = useCellarStore()
  const f = useFormat()
  const vesselChoice = ref('none')
  const vesselName = ref('')
  /** What has a cap to work goes into an open vessel, unless the person says otherwise. */
  const kindChosen = ref<VesselKind>()
  const vesselKind = computed({
    get: () => kindChosen.value ?? (room() === 'cap' ? 'bin' : 'demijohn'),
    set: (kind) => (kindChosen.value = kind)
  })
  const capacity = useVolumeField({ limits: { min: 0.1, max: 100_000, words: 'Enter between a tenth of a litre and 100,000 litres.' } })
  const fitOf = (capacityL: number) => {
    const litres = willBe()
    return litres === undefined ? undefined : vesselFit(capacityL, litres, room())
  }
  const sayFit = (capacityL: number) => {
    const fit = fitOf(capacityL)
    return fit && (fit.verdict === 'tight' ? `no room for the ${room()}` : FIT[fit.verdict])
  }
  const emptyVessels = computed(() =>
    [...cellar.state.vessels.values()]
      .filter((v) => !v.lotId && !v.retiredAt)
      .sort(
        (a, b) => RANK[fitOf(a.capacityL)?.verdict ?? 'fits'] - RANK[fitOf(b.capacityL)?.verdict ?? 'fits'] || a.capacityL - b.capacityL
      )
  )
  const chosenVessel = computed(() => emptyVessels.value.find((v) => v.id === vesselChoice.value))
  const isNew = computed(() => vesselChoice.value === 'new')
  const capacityL = computed(() => chosenVessel.value?.capacityL ?? (isNew.value ? capacity.value : undefined))
  const fit = computed(() => (capacityL.value === undefined ? undefined : fitOf(capacityL.value)))

  const namesTaken = () => [...cellar.state.vessels.values()].map((v) => v.name)

  /** The vessel of the lot, and its entry where it is new. */
  function vesselDrafts() {
    if (!isNew.value) return { vesselId: chosenVessel.value?.id, drafts: [] }
    const vesselId = newId(Date.now() + 1)
    const name = vesselName.value.trim() || nextName(vesselWords(f.volumeUnit.value)[vesselKind.value], namesTaken())
    return {
      vesselId,
      drafts: [fact('vessel-added', { vesselId, name, kind: vesselKind.value, capacityL: capacity.value!, material: undefined })]
    }
  }
  return { vesselChoice, vesselName, kindChosen, vesselKind, capacity, isNew, sayFit, emptyVessels, capacityL, fit, vesselDrafts }
}
