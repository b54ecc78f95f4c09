type Message = Parameters<ReturnType<typeof useToast>['add']>[0]

/** How long a message stays, ms, if nobody points at it: longer where it has something to press. */
const STAYS_MS = { told: 5000, asks: 10_000 } as const

/**
 * Says something over the shelf, for a few seconds, or as long as it is pointed at or has the focus. The clock is ours: the
 * library's draws the whole message anew sixty times a second while it runs, which a phone in a cellar feels.
 */
export function useMessage() {
  const toast = useToast()
  const show = (message: Message): void => {
    let left: number = message.actions?.length ? STAYS_MS.asks : STAYS_MS.told
    let since = 0
    let timer: ReturnType<typeof setTimeout> | undefined
    const run = () => {
      clearTimeout(timer)
      since = Date.now()
      timer = setTimeout(() => toast.remove(id), left)
    }
    const stop = () => {
      clearTimeout(timer)
      left = Math.max(1000, left - (Date.now() - since))
    }
    const { id } = toast.add({ ...message, duration: 0, progress: false, onPause: stop, onResume: run })
    run()
  }
  return (message: Message): void => afterPaint(() => show(message))
}

/** What was logged is drawn before what is said of it: a message is a third of the work of a tap. */
function afterPaint(work: () => void): void {
  if (typeof requestAnimationFrame === 'undefined') work()
  else requestAnimationFrame(() => setTimeout(work))
}
