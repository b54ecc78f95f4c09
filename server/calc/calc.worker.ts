import { runByName } from './run'

/** What the pool hands to a worker: a calculation by name and its body as it came. */
export default ({ name, body }: { name: string, body: unknown }) => runByName(name, body)
