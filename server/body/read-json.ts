import type { H3Event } from 'h3'
import type { PoolAnswer } from '../calc/pool'
import { readLimited } from './read-limited'

/**
 * Reads a JSON body up to a limit, has it worked on, and answers: 200, or 400 with the field, 413, 429, 503.
 * @param largest bytes
 */
export async function readJson(event: H3Event, largest: number, run: (body: unknown) => Promise<PoolAnswer>): Promise<unknown> {
  const refuse = (status: number, answer: object) => {
    setResponseStatus(event, status)
    return answer
  }
  const tooLarge = () => {
    setResponseHeader(event, 'connection', 'close')
    return refuse(413, { error: `the body may have ${largest} bytes at the most` })
  }
  if (Number(getHeader(event, 'content-length') ?? 0) > largest) return tooLarge()
  const text = await readLimited(event.node.req.iterator({ destroyOnReturn: false }), largest)
  if (text === undefined) return tooLarge()
  let body: unknown
  try {
    body = JSON.parse(text)
  }
  catch {
    return refuse(400, { error: 'bad body', field: 'body', reason: 'it is not JSON' })
  }
  const result = await run(body)
  switch (result.is) {
    case 'answer':
      return result.answer
    case 'refused':
      return refuse(400, { error: 'bad body', ...result.refusal })
    case 'too-long':
      return refuse(503, { error: `it was given up after ${result.seconds} s: ask for less at once`, seconds: result.seconds })
    case 'busy':
      setResponseHeader(event, 'retry-after', 5)
      return refuse(429, { error: 'too many calculations are waiting: try again in a few seconds' })
  }
}
