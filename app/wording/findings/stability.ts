import { PROTOCOL } from '~~/core/finishing'
import type { StabilitySays } from '~~/core/stages'
import { TEST_NAME, TEST_STEP_WORDS } from '../stability'
import type { WordsFor } from './say'

export const STABILITY: WordsFor<StabilitySays> = {
  'test-runs': ({ protocol, step, moved }) => {
    const name = TEST_NAME[PROTOCOL[protocol].of]
    const words = TEST_STEP_WORDS[step]
    return {
      title: moved ? `${name}: ${words.move.toLowerCase()}` : `${name}: the sample is ${words.stands}`,
      reason: moved ? `${words.does}.` : 'Its clock runs; the other glass stands beside it untouched.',
      action: 'See its clock'
    }
  },
  'read-test': ({ protocol }) => ({
    title: `${TEST_NAME[PROTOCOL[protocol].of]}: look at the sample`,
    reason: 'Its time is over. Against a torch, beside the glass that was left alone.',
    action: 'Say what fell'
  })
}
