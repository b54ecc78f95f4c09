/** Longest side of a kept picture, px; enough to judge a colour or a haze, small enough for years of them. */
const LONGEST = 900

/**
 * A picture from the camera or the disk as a small JPEG, as it is kept in the ledger.
 * @returns a data URL, or undefined when the file is no picture this browser can read
 */
export async function smallPhoto(file: File): Promise<string | undefined> {
  try {
    const bitmap = await createImageBitmap(file)
    const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
    const canvas = Object.assign(document.createElement('canvas'), {
      width: Math.round(bitmap.width * scale),
      height: Math.round(bitmap.height * scale)
    })
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    for (const quality of [0.8, 0.6, 0.4]) {
      const url = canvas.toDataURL('image/jpeg', quality)
      if (url.length < 390_000) return url
    }
    return undefined
  }
  catch {
    return undefined
  }
}
