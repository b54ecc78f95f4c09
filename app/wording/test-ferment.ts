import type { TestStep } from '~~/core/must'

/** What a test ferment can come to. */
export const TEST_VERDICT = {
  clean: { label: 'Clean', hint: 'nothing found, by two people, twice' },
  tainted: { label: 'Tainted', hint: 'ash, smoke, medicine: not to be bought' },
  unsure: { label: 'Cannot say', hint: 'taste again tomorrow, or ask a laboratory' }
} as const
export type TestVerdict = keyof typeof TEST_VERDICT

/** The week of a test ferment. Common practice, no source. */
export const TEST_STEP: Record<TestStep, { title: string, how: string }> = {
  'crush-and-sulphite': {
    title: 'Crush and sulphite',
    how: 'Stems off, crush by hand into a clean bucket with a third of it free, sulphite, lid on loosely. Always on the skins, whatever '
      + 'the wine shall become: what you are looking for sits there. Measure Brix and pH.'
  },
  pitch: { title: 'Yeast', how: 'At 20 to 25 °C. Rehydrate the pinch in a little warm water; it is worth the same care as a big lot.' },
  feed: { title: 'Nutrient', how: 'Dissolved, added slowly. Hungry yeast smells, and would mask what you are testing for.' },
  punch: { title: 'Punch down twice a day', how: 'Keep it at 22 to 28 °C. Read the gravity, and smell it each time.' },
  watch: {
    title: 'Read and smell',
    how: 'It should have fallen below half of its sugar. Write down what you smell: ash, leather, medicine, or plain fruit.'
  },
  press: { title: 'Press by hand', how: 'Through a strainer into a jar filled to the top; do not wring the skins.' },
  judge: {
    title: 'The end test',
    how: 'Dry, and settled for a day. Smell it, then taste: swallow or spit, wait half a minute, and look for ash at the back of the '
      + 'throat. Two people, unprompted, beside a clean wine. Taste again a day later: some of it shows late. A laboratory can measure '
      + 'the marker phenols; this cannot.'
  }
}
