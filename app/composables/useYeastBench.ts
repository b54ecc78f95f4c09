import { isFermenting } from '~~/core/ledger'
import { yeastRunForm } from '~/benches/yeast'
import { toCalendar } from '~/data/calendar'
import { downloadText } from '~/data/download'
import { sayPitchStep } from '~/wording/yeast'
import { useAlarm } from '~/composables/useAlarm'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useYeastRun } from '~/composables/useYeastRun'
import { useCellarStore } from '~/stores/cellar'

/** From packet to must for one lot of crush day: its bench, and the rehydration as a run that rings at each step. */
export function useYeastBench() {
  const cellar = useCellarStore()
  const route = useRoute()
  const f = useFormat()
  const lot = computed(() => cellar.lotOf(String(route.params.id)))
  /** A second time, into a must whose first yeast shows nothing. */
  const again = computed(() => lot.value !== undefined && isFermenting(lot.value) && route.query.again === '1')
  const bench = useBench(yeastRunForm, lot, () => (again.value ? 'again' : undefined))
  const run = useYeastRun(() => lot.value)
  const alarm = useAlarm()
  const degrees = (celsius: number) => f.words(f.temperature(celsius))
  const last = computed(() => run.on.value === run.steps.value.length - 1)

  async function begin() {
    void alarm.arm()
    window.scrollTo({ top: 0 })
    await bench.log('begin')
  }
  /** Each step rings once, also when the page was asleep at its time. */
  let rung = -1
  watch(
    [run.on, run.run],
    ([on, begun]) => {
      const step = run.steps.value[on]
      if (!begun || !step || on <= rung) return
      if (rung >= 0 || run.clock.value - step.at < 3000) alarm.ring(lot.value!.name, sayPitchStep(step, degrees(step.celsius)))
      rung = on
    },
    { immediate: true }
  )
  async function takeCalendar() {
    const tasks = run.steps.value.map((s, i) => ({
      id: `${lot.value!.id}-${run.run.value!.begunAt}-${i}`,
      at: new Date(s.at).toISOString(),
      title: `${lot.value!.name}: ${sayPitchStep(s, degrees(s.celsius))}`
    }))
    downloadText(await toCalendar('Presk: yeast', tasks, new Date()), 'presk-yeast.ics', 'text/calendar')
  }
  return { lot, again, bench, run, alarm, degrees, last, begin, takeCalendar }
}
export type YeastBench = ReturnType<typeof useYeastBench>
