import { refDebounced } from '@vueuse/core'

/** So long after a change what is large is drawn, ms: after what was asked for is on the screen. */
const BEHIND_MS = 60

/**
 * A lot for what is large on its page (curves, the winter's sulphite, costs): it follows a moment behind, so that what was just logged
 * is drawn first. Another lot comes at once.
 */
export function useBehind<T extends { id: string }>(get: () => T | undefined): ComputedRef<T | undefined> {
  const lot = computed(get)
  const behind = refDebounced(lot, BEHIND_MS)
  return computed(() => (behind.value?.id === lot.value?.id ? behind.value : lot.value))
}
