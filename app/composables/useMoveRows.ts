import type { Ref } from 'vue'
import type { MoveAs } from '~~/core/benches'
import { type LotView, isFermenting, isMust } from '~~/core/ledger'
import { placesFor, usualPlace } from '~~/core/stages'
import { fromLitres } from '~~/core/units'
import { sayPlace } from '~/wording/moving'
import { type KeptNumber, keptNumber, putBack } from './useKeptForm'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'

export interface MoveRow {
  vesselId: string
  litres: ReturnType<typeof useVolumeField>
  /** As it was filled in for the vessel. */
  filled?: string
}
export type KeptRow = KeptNumber & { vesselId: string }

/** Into which vessels a wine goes, and how much into each; it begins with the one it would usually go into. */
export function useMoveRows(lot: Ref<LotView | undefined>, as: Ref<MoveAs>, expectedL: Ref<number>) {
  const cellar = useCellarStore()
  const now = useNow()
  const f = useFormat()
  const vesselOf = (id: string) => cellar.state.vessels.get(id)
  const rows = ref<MoveRow[]>([])
  const addRow = () => rows.value.push({ vesselId: '', litres: useVolumeField() })
  addRow()
  const dropRow = (i: number) => rows.value.splice(i, 1)
  const inAll = computed(() => rows.value.reduce((sum, r) => sum + (r.litres.value ?? 0), 0))
  const ferments = computed(() => lot.value !== undefined && (isMust(lot.value) || isFermenting(lot.value)))
  const places = (litres: number) => placesFor(litres, cellar.state.vessels.values(), now.value, ferments.value)

  /** Where it can go, best first, said in words; what another row fills is not among them. */
  function placesOf(row: MoveRow) {
    const others = new Set(rows.value.filter((r) => r !== row).map((r) => r.vesselId))
    const rest = expectedL.value - rows.value.filter((r) => r !== row).reduce((sum, r) => sum + (r.litres.value ?? 0), 0)
    return places(row.litres.value ?? Math.max(0.1, rest))
      .filter((p) => !others.has(p.vesselId))
      .map((p) => {
        const v = vesselOf(p.vesselId)!
        return { value: v.id, label: `${v.name}: ${sayPlace(p, v.capacityL, !ferments.value, (litres) => f.words(f.volume(litres)))}` }
      })
  }
  /** A vessel that is chosen is filled with what there is, as far as it goes. */
  function choose(row: MoveRow, vesselId: string) {
    row.vesselId = vesselId
    // An amount that somebody typed goes before what the vessel holds.
    if (row.litres.text !== '' && row.litres.text !== row.filled) return
    row.litres.clear()
    const rest = expectedL.value - inAll.value
    const litres = Math.min(rest, vesselOf(vesselId)?.capacityL ?? rest)
    if (litres > 0.05) row.litres.fill(asTyped(litres))
    row.filled = row.litres.text
  }
  const asTyped = (litres: number) => String(Number(fromLitres(litres, f.volumeUnit.value).toFixed(1)))
  /** A vessel that was added for this: into the row that still wants one. */
  function chooseNew(vesselId: string) {
    if (!rows.value.some((r) => !r.vesselId)) addRow()
    choose(rows.value.find((r) => !r.vesselId)!, vesselId)
  }

  // One that was added here and taken back again is chosen no more.
  watch(() => cellar.state.vessels, (vessels) => {
    for (const row of rows.value) {
      if (row.vesselId === '' || vessels.has(row.vesselId)) continue
      row.vesselId = ''
      if (row.litres.text === row.filled) row.litres.clear()
    }
  })

  /** What has no vessel yet that it would usually go into, L; undefined where one is free. */
  const wantsVesselL = computed(() => {
    const rest = expectedL.value - inAll.value
    return rest > 0.05 && !usualPlace(places(rest), ferments.value) ? rest : undefined
  })

  /** All of it goes where it usually would, until somebody says otherwise; a part of it is chosen by its person. */
  let usually: string | undefined
  function chooseUsual() {
    const [row] = rows.value
    if (!row || rows.value.length > 1 || isTyped(row)) return
    row.vesselId = ''
    row.litres.clear()
    usually = as.value === 'rack' ? usualPlace(places(expectedL.value), ferments.value)?.vesselId : undefined
    if (usually) choose(row, usually)
  }
  const isTyped = (r: MoveRow) => (r.vesselId !== '' && r.vesselId !== usually) || (!r.litres.empty && r.litres.text !== r.filled)

  /** The rows that somebody has a part in; none while nobody has. */
  const keptRows = (): KeptRow[] =>
    rows.value.some(isTyped)
      ? rows.value.filter((r) => r.vesselId || !r.litres.empty).map((r) => ({ vesselId: r.vesselId, ...keptNumber(r.litres) }))
      : []
  /** What was kept; but for a vessel that another wine has been put into since. */
  function putRowsBack(were: readonly KeptRow[]) {
    const free = were.filter((was) => !vesselOf(was.vesselId)?.lotId)
    while (rows.value.length < free.length) addRow()
    free.forEach((was, i) => {
      rows.value[i]!.vesselId = was.vesselId
      putBack(rows.value[i]!.litres, was)
    })
  }
  return { rows, addRow, dropRow, inAll, ferments, wantsVesselL, placesOf, choose, chooseNew, chooseUsual, asTyped, keptRows, putRowsBack }
}
