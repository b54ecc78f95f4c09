export type ChosenFile = { ok: true, name: string, text: string } | { ok: false, name: string, bytes: number }

/** A cellar's file as text, plain or out of its zip; without `bytes` where a zip holds none. */
export async function chosenCellar(file: File, limitBytes: number): Promise<ChosenFile | { ok: false, name: string, bytes?: undefined }> {
  if (file.size > limitBytes) return { ok: false, name: file.name, bytes: file.size }
  const head = new Uint8Array(await file.slice(0, 2).arrayBuffer())
  if (!(head[0] === 0x50 && head[1] === 0x4b)) return chosenFile(file, limitBytes)
  // What opens zips comes when there is one.
  const { cellarFromZip } = await import('./cellar-zip')
  const text = cellarFromZip(new Uint8Array(await file.arrayBuffer()), limitBytes)
  return text === undefined ? { ok: false, name: file.name } : { ok: true, name: file.name, text }
}

/**
 * The file somebody chose, as text; one that is too large is not read.
 * @param file as chosen or dropped
 * @param limitBytes most that is read
 */
export async function chosenFile(file: File, limitBytes: number): Promise<ChosenFile> {
  return file.size > limitBytes ? { ok: false, name: file.name, bytes: file.size } : { ok: true, name: file.name, text: await file.text() }
}
