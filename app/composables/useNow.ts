const now = ref(new Date().toISOString())
let started = false

/** The present instant, moved on once a minute and when the page is seen again. ISO, UTC. */
export function useNow() {
  if (!started) {
    started = true
    const tick = () => {
      now.value = new Date().toISOString()
    }
    setInterval(tick, 60_000)
    document.addEventListener('visibilitychange', tick)
  }
  return now
}
