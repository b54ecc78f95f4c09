import { type Foretold, fermentLooks, gravityForetold, ripeningForetold, sulphiteForetold, tally } from '~~/core/score'
import type { FermentAsked } from '~~/core/fermentation'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** What this cellar's forecasts said beside what came, worked out from the history: those of ferments one by one in a worker. */
export function useScore() {
  const cellar = useCellarStore()
  const now = useNow()
  const gravities = shallowRef<readonly Foretold[]>([])
  const busy = ref(false)
  let turn = 0

  const looks = computed(() => cellar.lots.flatMap((lot) => fermentLooks(lot, cellar.state.cards, now.value)))
  const key = computed(() => looks.value.map((l) => `${l.of} ${l.at} ${l.came} ${l.asked.readings.length}`).join())
  async function workOut(): Promise<void> {
    const mine = ++turn
    busy.value = true
    const done: Foretold[] = []
    const { forecaster } = await import('~/workers/start')
    for (const look of looks.value) {
      const answer = await forecaster
        .call((f) => f.ahead(JSON.parse(JSON.stringify(look.asked)) as FermentAsked))
        .catch(() => undefined)
      if (mine !== turn) return
      const told = answer && gravityForetold(look, answer)
      if (told) done.push(told)
      gravities.value = [...done]
    }
    busy.value = false
  }
  onMounted(() => watch(key, () => void workOut(), { immediate: true }))
  onBeforeUnmount(() => void turn++)

  const all = computed(() => [
    ...gravities.value,
    ...cellar.lots.flatMap(sulphiteForetold),
    ...[...cellar.state.blocks.values()].flatMap(ripeningForetold)
  ].sort((a, b) => (a.at < b.at ? 1 : -1)))
  const tallies = computed(() => tally(all.value))
  const nameOf = (id: string) => cellar.lotOf(id)?.name ?? cellar.state.blocks.get(id)?.name ?? ''
  return { all, tallies, busy, nameOf }
}
