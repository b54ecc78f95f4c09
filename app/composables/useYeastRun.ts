import type { LotState } from '~~/core/ledger'
import { yeastRunOf } from '~~/core/benches'
import { clockMs } from '~/data/clock'

/** The rehydration of a lot's yeast on the clock: the step that is on, the one that follows, and the time until then. */
export function useYeastRun(lot: () => LotState | undefined) {
  const clock = ref(clockMs())
  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    timer = setInterval(() => {
      clock.value = clockMs()
    }, 1000)
  })
  onBeforeUnmount(() => clearInterval(timer))

  const run = computed(() => yeastRunOf(lot(), clock.value))
  const steps = computed(() => run.value?.steps ?? [])
  const on = computed(() => Math.max(0, steps.value.findLastIndex((s) => s.at <= clock.value)))
  const next = computed(() => steps.value[on.value + 1])
  const left = computed(() => (next.value ? Math.max(0, next.value.at - clock.value) : 0))
  return { clock, run, steps, on, next, left }
}

/** 4 min 05 s, from milliseconds. */
export const minutesAndSeconds = (ms: number): string => `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1000) % 60).padStart(2, '0')}`
