export type ChosenFile = { ok: true, name: string, text: string } | { ok: false, name: string, bytes: number }

/**
 * The file somebody chose, as text; one that is too large is not read.
 * @param file as chosen or dropped
 * @param limitBytes most that is read
 */
export async function chosenFile(file: File, limitBytes: number): Promise<ChosenFile> {
  return file.size > limitBytes ? { ok: false, name: file.name, bytes: file.size } : { ok: true, name: file.name, text: await file.text() }
}
