import { useCellarStore } from '~/stores/cellar'
/** What a gravity can be read with: the person's own, and one of which only the kind is said. */
export function useGravityInstruments() {
  const cellar = useCellarStore()
  const items = computed(() => [
    ...[...cellar.state.instruments.values()]
      .filter((i) => i.kind === 'hydrometer' || i.kind === 'refractometer')
      .map((i) => ({ value: i.id, label: i.name })),
    { value: 'hydrometer', label: 'A hydrometer' },
    { value: 'refractometer', label: 'A refractometer' }
  ])
  const kindOf = (id: string) => cellar.state.instruments.get(id)?.kind
  return { items, kindOf }
}
