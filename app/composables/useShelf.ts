import type { VesselKind } from '~~/core/cellar'
import { type LotView, isMust, isWine } from '~~/core/ledger'
import { useFloor } from '~/composables/useFloor'
import { useCellarStore } from '~/stores/cellar'

/** A vessel on the shelf, with what is in it. */
export interface ShelfPlace {
  key: string
  kind: VesselKind
  capacityL: number
  litres: number
  vessel: string
  lot?: LotView | undefined
  /** The lot has no vessel of its own; it is drawn in one. */
  assumed?: boolean
  /** In the walking order; only the first vessel of a lot carries it. */
  number?: number | undefined
}

const GROUPS = {
  all: { label: 'All', holds: () => true },
  due: { label: 'To do', holds: (p: ShelfPlace) => p.number !== undefined },
  must: { label: 'Must', holds: (p: ShelfPlace) => p.lot !== undefined && isMust(p.lot) },
  fermenting: { label: 'Fermenting', holds: (p: ShelfPlace) => p.lot !== undefined && !isMust(p.lot) && !isWine(p.lot) },
  wine: { label: 'Wine', holds: (p: ShelfPlace) => p.lot !== undefined && isWine(p.lot) },
  empty: { label: 'Empty', holds: (p: ShelfPlace) => !p.lot }
} as const
export type ShelfGroup = keyof typeof GROUPS

/** From so many vessels on, the shelf can be searched. */
const CROWDED = 16

/** All vessels, full ones in the walking order first; on a crowded shelf those of one group, or of one name. */
export function useShelf() {
  const cellar = useCellarStore()
  const floor = useFloor()
  const group = ref<ShelfGroup>('all')
  const search = ref('')

  const all = computed<ShelfPlace[]>(() => {
    const filled = floor.items.value.flatMap(({ lot, number }) =>
      [...lot.contents].map(([vesselId, litres], i): ShelfPlace => {
        const vessel = cellar.state.vessels.get(vesselId)
        const first = { litres, lot, number: i === 0 ? number : undefined }
        return vessel
          ? { ...first, key: vesselId, kind: vessel.kind, capacityL: vessel.capacityL, vessel: vessel.name }
          : { ...first, key: lot.id, kind: 'pail', capacityL: Math.max(0.1, litres * 1.25), vessel: 'no vessel named', assumed: true }
      })
    )
    const empty = [...cellar.state.vessels.values()]
      .filter((v) => !v.lotId && !v.retiredAt)
      .map((v): ShelfPlace => ({ key: v.id, kind: v.kind, capacityL: v.capacityL, litres: 0, vessel: v.name }))
    return [...filled, ...empty]
  })
  const crowded = computed(() => all.value.length > CROWDED)
  const shown = computed(() => {
    if (!crowded.value) return all.value
    const word = search.value.trim().toLocaleLowerCase()
    return all.value.filter(
      (p) => GROUPS[group.value].holds(p) && (word === '' || `${p.lot?.name ?? ''} ${p.vessel}`.toLocaleLowerCase().includes(word))
    )
  })
  /** Only groups that somebody is in. */
  const groups = computed(() =>
    (Object.keys(GROUPS) as ShelfGroup[])
      .map((key) => ({ value: key, label: GROUPS[key].label, count: all.value.filter(GROUPS[key].holds).length }))
      .filter((g) => g.count > 0)
  )
  const titleOf = (lotId: string) => floor.of(lotId)?.next.words.title
  return { all, shown, crowded, groups, group, search, titleOf }
}
