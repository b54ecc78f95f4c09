import { type StabilityAnswer, type StabilityChoices, type StabilityNumber, stability } from '~~/core/benches'
import { FALLEN, PROTOCOL, PROTOCOLS, type StabilityTest } from '~~/core/finishing'
import { FALLEN_WORDS, PROTOCOL_WORDS, TEST_NAME, sayTest } from '~/wording/stability'
import { type BenchForm, plainField } from './spec'

const ntuField = <K extends string>(key: K, label: string, hint?: string) =>
  plainField(key, label, [0, 4000], 'Between 0 and 4000 NTU.', { unitLabel: 'NTU', required: false, part: 'read', hint })

export const stabilityForm: BenchForm<StabilityNumber, StabilityChoices, StabilityAnswer> = {
  code: 'stability',
  title: 'Heat and cold tests',
  bench: stability,
  fields({ protocol }, context) {
    // All rules of the test that the chosen one is for.
    const test = PROTOCOL[protocol].of
    const rules = PROTOCOLS.filter((p) => PROTOCOL[p].of === test)
    return [
      {
        as: 'tiles',
        key: 'protocol',
        label: 'Method',
        part: 'begin',
        least: 220,
        items: rules.map((value) => ({ value, label: context.own(PROTOCOL_WORDS[value].label), hint: PROTOCOL_WORDS[value].hint }))
      },
      {
        as: 'tiles',
        key: 'fallen',
        label: test === 'heat-test' ? 'Compared with the other glass it is' : 'In the glass there are',
        part: 'read',
        items: FALLEN.map((value) => ({ value, ...FALLEN_WORDS[test][value] }))
      },
      ntuField('before', 'The untreated glass'),
      ntuField('after', 'The heated glass', 'up to 2 more is stable')
    ]
  },
  note({ before, after }, { protocol, test, seen, byNtu }) {
    return seen ? sayTest(protocol, test, seen, byNtu ? `, ${before} to ${after} NTU` : '') : ''
  },
  logged: (lot, [written]) => ({
    says: written?.type === 'operation'
      ? `${lot.name}: ${TEST_NAME[written.what as StabilityTest].toLowerCase()} begun`
      : `${lot.name}: ${TEST_NAME[(written as { what: StabilityTest }).what].toLowerCase()} noted`
  })
}
