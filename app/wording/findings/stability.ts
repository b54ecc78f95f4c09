import { PROTOCOL } from '~~/core/finishing'
import type { StabilitySays } from '~~/core/stages'
import { TEST_NAME, TEST_STEP_WORDS } from '../stability'
import type { WordsFor } from './say'

export const STABILITY: WordsFor<StabilitySays> = {
  'test-runs': ({ protocol, step, moved }) => {
    const name = TEST_NAME[PROTOCOL[protocol].of]
    const words = TEST_STEP_WORDS[step]
    return {
      title: moved ? `${name}: ${words.move.toLowerCase()}` : `${name}: the sample is ${words.now}`,
      reason: moved ? `${words.does}.` : 'The test is running. Leave the other glass beside it untouched.',
      action: 'See the timer'
    }
  },
  'read-test': ({ protocol }) => ({
    title: `${TEST_NAME[PROTOCOL[protocol].of]}: look at the sample`,
    reason: 'The time is up. Hold it against a torch beside the untouched glass.',
    action: 'Enter the result'
  })
}
