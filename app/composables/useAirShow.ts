import { DAY_MS } from '~~/core/units'
import { useIntervalFn, usePreferredReducedMotion } from '@vueuse/core'
import { renderSVG } from 'uqr'
import { MOST_CODES, codesOf, forTheAir } from '~/data/air'
import { clockMs } from '~/data/clock'
import { toCellarFile } from '~/data/to-cellar-file'
import { useCellarName } from '~/composables/useCellarName'
import { useCellarStore } from '~/stores/cellar'

/** Slow enough for a camera, and fewer changes in a second than may harm anybody (WCAG 2.3.1: three), ms. */
const EACH_MS = 450
export const DAYS_SHOWN = [
  { value: '1', label: 'Since yesterday' },
  { value: '3', label: 'Last 3 days' },
  { value: '8', label: 'Last week' }
] as const

/** Shows what was written lately as a run of codes, one after the other for as long as the other device needs. */
export function useAirShow() {
  const cellar = useCellarStore()
  const cellarName = useCellarName()
  const days = ref<(typeof DAYS_SHOWN)[number]['value']>('1')
  const codes = shallowRef<string[]>()
  const at = ref(0)
  /** What there is to send: how many entries, and how many of them stay because they hold a picture. */
  const sent = ref({ entries: 0, pictures: 0 })
  const problem = ref<'nothing' | 'too-much'>()
  const calm = usePreferredReducedMotion()
  const next = () => {
    at.value = (at.value + 1) % (codes.value?.length ?? 1)
  }
  const { pause, resume, isActive } = useIntervalFn(next, EACH_MS, { immediate: false })

  async function show() {
    const since = new Date(clockMs() - Number(days.value) * DAY_MS).toISOString()
    const lately = (await cellar.allEntries()).filter((e) => e.written >= since)
    const entries = forTheAir(lately)
    sent.value = { entries: entries.length, pictures: lately.length - entries.length }
    const file = () => JSON.stringify(toCellarFile(cellarName.value, entries, new Date(clockMs()).toISOString()))
    const made = entries.length > 0 ? codesOf(file()) : []
    problem.value = made.length === 0 ? 'nothing' : made.length > MOST_CODES ? 'too-much' : undefined
    codes.value = problem.value ? undefined : made
    at.value = 0
    if (codes.value && calm.value !== 'reduce' && made.length > 1) resume()
  }
  function end() {
    pause()
    codes.value = problem.value = undefined
  }
  const picture = computed(() =>
    codes.value && `data:image/svg+xml;base64,${btoa(renderSVG(codes.value[at.value]!, { ecc: 'L', border: 4 }))}`
  )
  return { days, codes, at, sent, problem, picture, isActive, show, end, next, pause, resume }
}
