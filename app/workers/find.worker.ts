import { expose } from 'comlink'
import { type FindDocument, Finder } from '~/find/finder'
import { holdForLife } from './supervised'

const finder = new Finder()
/** The index of all that can be found: kept beside the page, so that typing is never held up. */
const finding = {
  hold: holdForLife,
  put: (documents: readonly FindDocument[]) => finder.put(documents),
  drop: (ids: readonly string[]) => finder.drop(ids),
  find: (query: string, now: string) => finder.find(query, new Date(now))
}
export type Finding = typeof finding

expose(finding)
