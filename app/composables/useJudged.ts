import type { LotState, LotView } from '~~/core/ledger'
import { type StageFinding, findingsOf, tasksOf } from '~~/core/stages'

type Cellar = Parameters<typeof tasksOf>[1]
export interface Judged { tasks: StageFinding[], findings: StageFinding[] }
/** What it was judged by: the lot as the ledger holds it, the cellar around it, and the minute. */
interface Known extends Judged { of: LotState | undefined, cellar: Cellar, now: string }

/** So many lots are judged at one go; that takes no time that anybody feels. */
const AT_ONCE = 12
/** What is judged behind the page takes no longer at a stretch, ms: a frame. */
const SLICE_MS = 12

/**
 * What every lot asks for. In a large cellar the lot that has changed is judged at once; the others, for which something around them has,
 * follow in slices, and until then say what they said a moment before.
 * @param atOnce so many lots are no large cellar
 */
export function useJudged(atOnce = AT_ONCE) {
  const known = new Map<string, Known>()
  /** Counts the times that the slices have come to their end. */
  const caughtUp = shallowRef(0)
  let behind: (() => void)[] = []
  let waiting = false

  function judge(lot: LotView, of: LotState | undefined, cellar: Cellar, now: string): Known {
    const judged = { of, cellar, now, tasks: tasksOf(lot, cellar, now), findings: findingsOf(lot, cellar, now) }
    known.set(lot.id, judged)
    return judged
  }
  function work(): void {
    const end = performance.now() + SLICE_MS
    while (behind.length > 0 && performance.now() < end) behind.shift()!()
    waiting = behind.length > 0
    if (waiting) setTimeout(work)
    else caughtUp.value++
  }

  /** @param stateOf the lot as the ledger holds it: another object once anything was logged of it */
  return (lots: readonly LotView[], stateOf: (id: string) => LotState | undefined, cellar: Cellar, now: string): Judged[] => {
    void caughtUp.value
    const large = lots.length > atOnce
    const later: (() => void)[] = []
    const all = lots.map((lot) => {
      const [of, was] = [stateOf(lot.id), known.get(lot.id)]
      if (was && was.cellar === cellar && was.now === now) return was
      if (!large || !was || was.of !== of) return judge(lot, of, cellar, now)
      later.push(() => void judge(lot, of, cellar, now))
      return was
    })
    // What was still to be done is done for the cellar as it is now.
    behind = later
    if (behind.length > 0 && !waiting) {
      waiting = true
      setTimeout(work)
    }
    return all
  }
}
