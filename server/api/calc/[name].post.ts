import { readLimited } from '../../body/read-limited'
import { CALCULATIONS } from '../../calc'
import { runBeside } from '../../calc/pool'

/** Largest body that is read, bytes. */
const LARGEST = 64 * 1024

/** Runs one calculation on a JSON body. Stateless. */
export default defineEventHandler(async (event) => {
  const refuse = (status: number, answer: object) => {
    setResponseStatus(event, status)
    return answer
  }
  const calc = CALCULATIONS.get(getRouterParam(event, 'name') ?? '')
  if (!calc) return refuse(404, { error: 'there is no such calculation', calculations: [...CALCULATIONS.keys()] })
  const tooLarge = () => {
    setResponseHeader(event, 'connection', 'close')
    return refuse(413, { error: `the body may have ${LARGEST} bytes at the most` })
  }
  if (Number(getHeader(event, 'content-length') ?? 0) > LARGEST) return tooLarge()
  const text = await readLimited(event.node.req.iterator({ destroyOnReturn: false }), LARGEST)
  if (text === undefined) return tooLarge()
  let body: unknown
  try {
    body = JSON.parse(text)
  }
  catch {
    return refuse(400, { error: 'bad body', field: 'body', reason: 'it is not JSON' })
  }
  const result = await runBeside(calc.name, body)
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
})
