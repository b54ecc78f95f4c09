export type ChosenFile = { ok: true, name: string, text: string } | { ok: false, name: string, bytes: number }

/**
 * The file somebody chose, as text; one that is too large is not read. The field is cleared, so that the same file can be chosen again.
 * @param event of a file field
 * @param limitBytes most that is read
 * @returns nothing when none was chosen
 */
export async function chosenFile(event: Event, limitBytes: number): Promise<ChosenFile | undefined> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return undefined
  const chosen: ChosenFile = file.size > limitBytes ? { ok: false, name: file.name, bytes: file.size } : { ok: true, name: file.name, text: await file.text() }
  input.value = ''
  return chosen
}
