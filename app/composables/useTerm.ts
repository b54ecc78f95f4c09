import type { TermKey } from '~/wording/glossary'

interface Asked { term: TermKey, at: HTMLElement, id: string }

/** The word that is being explained, and the element it is in. */
const asked = shallowRef<Asked>()
/** A press beside the card closes it before the click arrives: on the same word that was to close it. */
let closed: { at: HTMLElement, when: number } | undefined
const ONE_PRESS_MS = 400

export function useTerm() {
  /**
   * @param id of the very word: the same may be on a page twice
   * @param byKey a key pressed on the word has closed nothing on its way
   */
  function explain(term: TermKey, at: HTMLElement, id: string, byKey = false): void {
    const closedIt = !byKey && closed?.at === at && performance.now() - closed.when < ONE_PRESS_MS
    asked.value = closedIt ? undefined : { term, at, id }
  }
  function close(): void {
    if (!asked.value) return
    const { at } = asked.value
    closed = { at, when: performance.now() }
    asked.value = undefined
    // Back to the word, unless the focus went to something else already.
    const focus = document.activeElement
    if (!focus || focus === document.body || focus.closest('[role="dialog"]')) at.focus({ preventScroll: true })
  }
  return { asked, explain, close }
}
