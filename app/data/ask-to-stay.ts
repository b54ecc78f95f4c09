let asked = false
/** Asks the browser not to clear the cellar when space runs short; most grant it to a page that is used. */
export async function askToStay(): Promise<void> {
  if (asked) return
  asked = true
  try {
    if ((await navigator.storage?.persisted()) === false) await navigator.storage.persist()
  }
  catch {
    // Some browsers lack it in private windows; the export remains.
  }
}
