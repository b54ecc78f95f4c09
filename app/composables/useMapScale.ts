import { useElementSize } from '@vueuse/core'

const PAD = { left: 46, right: 18, top: 14, bottom: 44 }
export interface MapPoint {
  ph: number
  ta: number
}

/** The scales of the map of acids: room for all that is drawn, in whole marks. pH runs across, TA up. */
export function useMapScale(frame: Ref<HTMLElement | undefined>, drawn: () => readonly MapPoint[]) {
  const { width } = useElementSize(frame)
  const height = computed(() => Math.max(300, Math.min(460, width.value * 0.72)))
  const range = computed(() => {
    const phs = [3, 3.9, ...drawn().map((p) => p.ph)]
    const tas = [4.5, 9.5, ...drawn().map((p) => p.ta)]
    return {
      ph: { min: Math.floor(Math.min(...phs) * 10 - 0.5) / 10, max: Math.ceil(Math.max(...phs) * 10 + 0.5) / 10 },
      ta: { min: Math.floor(Math.min(...tas) - 0.3), max: Math.ceil(Math.max(...tas) + 0.3) }
    }
  })
  const inner = computed(() => ({ width: width.value - PAD.left - PAD.right, height: height.value - PAD.top - PAD.bottom }))
  const share = (value: number, { min, max }: { min: number, max: number }) => (value - min) / (max - min)
  const x = (ph: number): number => PAD.left + share(ph, range.value.ph) * inner.value.width
  const y = (ta: number): number => height.value - PAD.bottom - share(ta, range.value.ta) * inner.value.height
  const marks = ({ min, max }: { min: number, max: number }, step: number) =>
    Array.from({ length: Math.floor((max - min) / step + 1e-9) + 1 }, (_, i) => min + i * step)
  const ticks = computed(() => ({ ph: marks(range.value.ph, 0.2), ta: marks(range.value.ta, 1) }))
  const line = (points: readonly { ph: number, taGPerL: number }[]): string =>
    points.map((p, i) => `${i ? 'L' : 'M'}${x(p.ph).toFixed(1)} ${y(p.taGPerL).toFixed(1)}`).join('')
  return { PAD, width, height, x, y, ticks, line }
}
export type MapScale = ReturnType<typeof useMapScale>
