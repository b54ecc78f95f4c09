import { expose } from 'comlink'
import { holdForLife } from './supervised'
import { type TargetRequest, findTargets } from '~~/core/must'
import { LimitError } from '~~/core/units'

/** Calculations that take longer than a frame. What they refuse comes back as undefined, as on the page. */
const reckoner = {
  hold: holdForLife,
  findTargets(request: TargetRequest) {
    try {
      return findTargets(request)
    }
    catch (error) {
      if (error instanceof LimitError) return undefined
      throw error
    }
  }
}
export type Reckoner = typeof reckoner

expose(reckoner)
