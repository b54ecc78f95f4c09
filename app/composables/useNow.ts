import { clockNow, holdClock } from '~/data/clock'

const now = ref(clockNow())
let started = false
const tick = () => {
  now.value = clockNow()
}

/** The present instant by the cellar's clock, moved on once a minute and when the page is seen again. ISO, UTC. */
export function useNow() {
  if (!started) {
    started = true
    setInterval(tick, 60_000)
    document.addEventListener('visibilitychange', tick)
  }
  return now
}
/** Holds the page's clock at an instant, or lets it go on. */
export function setPageClock(at?: number): void {
  holdClock(at)
  tick()
}
