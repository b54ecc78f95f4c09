/**
 * How many of a long list are drawn: what fits on a screen at once, the rest bit by bit as there is time, so that no list holds up
 * what is tapped meanwhile.
 * @param wanted how many there are to draw
 * @param first drawn at once, and then so many at a time
 */
export function useGradually(wanted: () => number, first: number, step = first) {
  const drawn = ref(first)
  let waiting = false
  let gone = false
  function more(): void {
    waiting = false
    if (gone) return
    drawn.value += step
    follow()
  }
  function follow(): void {
    if (waiting || drawn.value >= wanted()) return
    waiting = true
    if ('requestIdleCallback' in window) requestIdleCallback(more, { timeout: 300 })
    else setTimeout(more)
  }
  onMounted(() => watch(wanted, follow, { immediate: true }))
  onBeforeUnmount(() => (gone = true))
  return computed(() => Math.min(drawn.value, wanted()))
}
