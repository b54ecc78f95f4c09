/**
 * False at first, and true in a task of its own once the page is drawn: for what is large and below the first screen.
 * @param after so many tasks: one after the other, so that none is long
 */
export function useSoon(after = 1) {
  const soon = ref(false)
  let left = after
  let timer: ReturnType<typeof setTimeout> | undefined
  const wait = () => {
    timer = setTimeout(() => (--left > 0 ? wait() : (soon.value = true)))
  }
  onMounted(wait)
  onBeforeUnmount(() => clearTimeout(timer))
  return soon
}
