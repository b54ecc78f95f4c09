import type { FollowFinding } from '~~/core/fermentation'

/** What is wrong with what the floats send, by lot, as it was last heard: for the findings of the lot. */
export const useFollowedStore = defineStore('followed', () => {
  const wrong = shallowRef<ReadonlyMap<string, readonly FollowFinding[]>>(new Map())
  const say = (lotId: string, findings: readonly FollowFinding[]) => {
    wrong.value = new Map(wrong.value).set(lotId, findings)
  }
  return { wrong, say }
})
