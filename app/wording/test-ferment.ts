import type { TestStep } from '~~/core/must'

/** What a test ferment can come to. */
export const TEST_VERDICT = {
  clean: { label: 'Clean', hint: 'nothing found, by two people, twice' },
  tainted: { label: 'Tainted', hint: 'ash, smoke, medicine: do not buy it' },
  unsure: { label: 'Cannot say', hint: 'taste again tomorrow, or ask a laboratory' }
} as const
export type TestVerdict = keyof typeof TEST_VERDICT

/** The week of a test ferment. Common practice, no source. */
export const TEST_STEP: Record<TestStep, { title: string, how: string }> = {
  'crush-and-sulphite': {
    title: 'Crush and sulphite',
    how: 'Remove the stems, crush by hand into a clean bucket with a third of it free, add sulphite, and put the lid on loosely. Always '
      + 'ferment on the skins, whatever the wine, because taint is in the skins. Measure Brix and pH.'
  },
  pitch: { title: 'Yeast', how: 'At 20 to 25 °C. Rehydrate the pinch in a little warm water; take the same care as with a big lot.' },
  feed: { title: 'Nutrient', how: 'Dissolve it and add it slowly. Hungry yeast smells and would mask a taint.' },
  punch: { title: 'Punch down twice a day', how: 'Keep it at 22 to 28 °C. Read the gravity, and smell it each time.' },
  watch: {
    title: 'Read and smell',
    how: 'More than half of the sugar should have fermented. Note what you smell: ash, leather, medicine, or plain fruit.'
  },
  press: { title: 'Press by hand', how: 'Through a strainer into a jar filled to the top; do not wring the skins.' },
  judge: {
    title: 'Final test',
    how: 'When it is dry and has settled for a day, smell and taste it. Swallow or spit, wait half a minute, and look for ash at the back '
      + 'of the throat. Two people should taste it with a clean wine for comparison. Taste again a day later, because some taints show '
      + 'late. Only a laboratory can measure the marker phenols.'
  }
}
