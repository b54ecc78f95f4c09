import type { Fallen, Protocol, ProtocolStep, StabilityTest, TestAdvice } from '~~/core/finishing'

export const PROTOCOL_WORDS: Record<Protocol, { label: string, hint: string }> = {
  'heat-2h': { label: 'Two hours at 80 °C', hint: 'the usual' },
  'heat-6h': { label: 'Six hours at 80 °C, a night in the refrigerator', hint: 'stricter: shows haze that may never appear' },
  'cold-3d': { label: 'Three days at −4 °C', hint: 'the usual' },
  'cold-frozen': { label: 'A night in the freezer, thawed', hint: 'stricter, result tomorrow' }
}
export const TEST_NAME: Record<StabilityTest, string> = { 'heat-test': 'Heat test', 'cold-test': 'Cold test' }

/** What is done in each step, and what the sample is then doing. */
export const TEST_STEP_WORDS: Record<ProtocolStep['code'], { does: string, now: string, move: string }> = {
  bath: { does: 'In a water bath at 80 °C', now: 'in its bath', move: 'Into the bath' },
  cool: { does: 'Out of the bath, to cool at 20 °C', now: 'cooling', move: 'Out of the bath' },
  fridge: { does: 'Out of the bath and into the refrigerator at 4 °C', now: 'in the refrigerator', move: 'Into the refrigerator' },
  cold: { does: 'In the cold at −4 °C', now: 'in the cold', move: 'Into the cold' },
  freezer: { does: 'In the freezer at −18 °C, with room for ice', now: 'in the freezer', move: 'Into the freezer' },
  thaw: { does: 'Out of the freezer, to thaw at 20 °C; turn it over once', now: 'thawing', move: 'Out of the freezer' }
}
/** How a sample is made ready: common practice, no source. */
export const TEST_READY: Record<StabilityTest, string> = {
  'heat-test': 'A clear sample, filtered through paper, in two closed glasses. One goes into the bath, the other is left untouched for '
    + 'comparison.',
  'cold-test': 'A clear sample, filtered through paper, in a closed glass that is not full, because wine expands when it freezes.'
}

/** What was seen, against a torch and beside the glass that was left alone. */
export const FALLEN_WORDS: Record<StabilityTest, Record<Fallen, { label: string, hint: string }>> = {
  'heat-test': {
    none: { label: 'As clear as the other', hint: 'stable' },
    little: { label: 'A slight haze', hint: 'visible only side by side' },
    much: { label: 'Haze or flakes', hint: 'visible at once' }
  },
  'cold-test': {
    none: { label: 'No crystals', hint: 'stable' },
    little: { label: 'A few grains', hint: 'at the bottom' },
    much: { label: 'A layer of crystals', hint: 'or a cloud of them' }
  }
}
export const TEST_ADVICE: Record<TestAdvice, string> = {
  'leave': 'It is stable by this test. Nothing to do.',
  'fine-least': 'Nearly stable. Do a bench trial with bentonite, starting with the smallest doses. The smallest that stays clear is '
    + 'enough.',
  'fine': 'Not stable. Do a bench trial with bentonite, with each glass in the same bath. Choose the smallest dose that stays clear.',
  'cold-or-accept': 'Crystals may come in a cold cellar. Weeks of cold before bottling, gum arabic at the bottle, or accept them: they '
    + 'are harmless.'
}
/** The words of a ledger line. */
export const sayTest = (protocol: Protocol, test: StabilityTest, fallen: Fallen, more = ''): string =>
  `${FALLEN_WORDS[test][fallen].label} (${PROTOCOL_WORDS[protocol].label.replace(/^./, (c) => c.toLowerCase())}${more})`
