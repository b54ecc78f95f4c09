import { runBeside } from '../calc/pool'
import { readJson } from '../body/read-json'

/** An exported cellar of some years has less, bytes. */
const LARGEST = 2 * 1024 * 1024

/** What Presk would say of a cellar at an instant. Nothing is stored. */
export default defineEventHandler((event) => readJson(event, LARGEST, (body) => runBeside('advice', body)))
