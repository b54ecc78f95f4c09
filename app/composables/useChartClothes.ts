import type { ApexOptions } from 'apexcharts'

/** What all curves wear: our colours as they are in this theme, our type, no tools and no motion. */
export function useChartClothes() {
  const mode = useColorMode()
  const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
  const colours = computed(() => {
    void mode.value
    return {
      ink: css('--ink'), soft: css('--ink-soft'), line: css('--line'), skin: css('--skin'), good: css('--good'), caution: css('--caution'),
      strong: css('--line-strong')
    }
  })
  const base = computed<ApexOptions>(() => ({
    chart: {
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: 'inherit',
      foreColor: colours.value.soft,
      background: 'transparent',
      parentHeightOffset: 0
    },
    theme: { mode: mode.value === 'dark' ? 'dark' : 'light' },
    grid: { borderColor: colours.value.line, padding: { left: 4, right: 10, top: -14, bottom: 0 } },
    legend: { show: false },
    dataLabels: { enabled: false }
  }))
  return { base, colours, mode }
}

interface Axis { min: number, max: number, tickAmount: number }
/** From just below the lowest to just above the highest, in whole steps, with so many marks between. */
export function axisAround(values: readonly number[], steps: readonly number[], most = 6): Axis | object {
  if (values.length === 0) return {}
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const step = steps.find((s) => Math.ceil(high / s) - Math.floor(low / s) <= most) ?? steps.at(-1)!
  const min = Math.floor(low / step + 1e-9) * step
  const max = Math.max(min + step, Math.ceil(high / step - 1e-9) * step)
  return { min, max, tickAmount: Math.round((max - min) / step) }
}
