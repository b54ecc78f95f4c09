/** What is still taken from the line after the limit was passed, and thrown away, so that a sender hears the answer, bytes. */
const HEARD_OUT = 1_000_000

/**
 * Reads a body up to a number of bytes and keeps no more: what is larger is cut off while it comes in, whatever its length was
 * said to be. A sender that is only a little over is heard to its end, so that it can read the refusal.
 * @param source the request, or anything that yields pieces of bytes
 * @param limit bytes
 * @returns the text, or undefined when it is larger
 */
export async function readLimited(source: AsyncIterable<Uint8Array>, limit: number): Promise<string | undefined> {
  const pieces: Uint8Array[] = []
  let length = 0
  for await (const piece of source) {
    length += piece.byteLength
    if (length > limit + HEARD_OUT) return undefined
    if (length <= limit) pieces.push(piece)
    else pieces.length = 0
  }
  return length > limit ? undefined : Buffer.concat(pieces).toString('utf8')
}
