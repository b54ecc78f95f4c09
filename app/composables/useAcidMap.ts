import {
  ACID_MOVES,
  type AcidMove,
  type AcidReadings,
  type Composition,
  MOVE_SIZES,
  type MovePoint,
  type WillBe,
  fitAcids,
  movePath
} from '~~/core/acids'
import { MUST_WINDOWS } from '~~/core/must'
import { isHeld, type LotState, type Style } from '~~/core/ledger'
import { wineColour } from '~/composables/wineColour'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

export interface MapDot {
  id: string
  name: string
  ph: number
  ta: number
  colour: string
}
export interface MapArrow {
  move: AcidMove
  path: MovePoint[]
  marks: MovePoint[]
  size: number
}
export interface MapWindow {
  style: Style
  ph: { min: number, max: number }
  ta: { min: number, max: number }
}

/** The acids of all lots as dots, the windows of the styles as regions, and from one must an arrow for each move. */
export function useAcidMap(
  readings: () => AcidReadings | undefined,
  current: () => LotState | undefined,
  sizes: () => Partial<Record<AcidMove, number>>,
  willBe: () => WillBe | undefined
) {
  const cellar = useCellarStore()
  const dots = computed<MapDot[]>(() =>
    cellar.lots
      .filter((l) => l.id !== current()?.id && isHeld(l) && l.stream !== 'kit' && l.ph && l.ta)
      .map((l) => ({ id: l.id, name: l.name, ph: l.ph!.value, ta: l.ta!.value, colour: wineColour(l) }))
  )
  const windows = (['red', 'rose', 'white'] as const).map(
    (style): MapWindow => ({ style, ph: MUST_WINDOWS[style].ph, ta: MUST_WINDOWS[style].ta })
  )
  const start = computed<Composition | undefined>(() => {
    const given = readings()
    return given && withinLimits(() => fitAcids(given).composition)
  })
  const ways = computed(() =>
    start.value === undefined
      ? []
      : ACID_MOVES.flatMap((move) => {
          const path = withinLimits(() => movePath(start.value!, move, 24, willBe())) ?? []
          return path.length > 2 ? [{ move, path }] : []
        })
  )
  const arrows = computed<MapArrow[]>(() =>
    ways.value.map(({ move, path }) => ({
      move,
      path,
      size: sizes()[move] ?? 0,
      marks: MOVE_SIZES[move].marks.flatMap((size) => path.find((p) => p.size >= size - 1e-9) ?? [])
    }))
  )
  return { dots, windows, arrows, start }
}
