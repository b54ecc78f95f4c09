import { clockMs } from '~/data/clock'
import type { LotState } from '~~/core/ledger'
import { type PitchStep, pitchPlan } from '~~/core/yeast'

export interface RunStep extends PitchStep {
  at: number
}

/** A run that was begun so long ago was given up, h. */
const GIVEN_UP_H = 6

/**
 * The rehydration of a lot's yeast as it runs: begun by an entry of the ledger, so that it is the same after a reload, in
 * another tab and on another device; its times follow from what was weighed and how cool the must is.
 */
export function useYeastRun(lot: () => LotState | undefined) {
  const clock = ref(clockMs())
  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    timer = setInterval(() => {
      clock.value = clockMs()
    }, 1000)
  })
  onBeforeUnmount(() => clearInterval(timer))

  const begun = computed(() => {
    const done = lot()?.worked.get('rehydrate')
    const gone = done && clock.value - Date.parse(done.at)
    // Yeast that went in since ended it; a second run, into a must that did not start, comes after the first yeast.
    const pitchedAt = lot()?.repitchedAt ?? lot()?.inoculatedAt ?? ''
    return done?.plan && gone !== undefined && gone < GIVEN_UP_H * 3_600_000 && pitchedAt < done.at
      ? { at: Date.parse(done.at), plan: done.plan }
      : undefined
  })
  const plan = computed(() => {
    const l = lot()
    return l && begun.value
      ? withinLimits(() => pitchPlan(l.volume.value, begun.value!.plan.mustC, begun.value!.plan.yeastG / l.volume.value))
      : undefined
  })
  const steps = computed<RunStep[]>(() =>
    plan.value ? plan.value.steps.map((s) => ({ ...s, at: begun.value!.at + s.atMin * 60_000 })) : []
  )
  /** The step that is on, and the one that follows; waiting is counted to the one that follows. */
  const on = computed(() =>
    Math.max(
      0,
      steps.value.findLastIndex((s) => s.at <= clock.value)
    )
  )
  const next = computed(() => steps.value[on.value + 1])
  const left = computed(() => (next.value ? Math.max(0, next.value.at - clock.value) : 0))
  return { clock, begun, plan, steps, on, next, left }
}

/** 4 min 05 s, from milliseconds. */
export const minutesAndSeconds = (ms: number): string => `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1000) % 60).padStart(2, '0')}`
