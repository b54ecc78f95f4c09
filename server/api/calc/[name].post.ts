import { readJson } from '../../body/read-json'
import { CALCULATIONS } from '../../calc'
import { runBeside } from '../../calc/pool'

/** Largest body that is read, bytes. */
const LARGEST = 64 * 1024

/** Runs one calculation on a JSON body. Stateless. */
export default defineEventHandler((event) => {
  const calc = CALCULATIONS.get(getRouterParam(event, 'name') ?? '')
  if (calc) return readJson(event, LARGEST, (body) => runBeside(calc.name, body))
  setResponseStatus(event, 404)
  return { error: 'there is no such calculation', calculations: [...CALCULATIONS.keys()] }
})
