import type { Fallen, Protocol, ProtocolStep, StabilityTest, TestAdvice } from '~~/core/finishing'

export const PROTOCOL_WORDS: Record<Protocol, { label: string, hint: string }> = {
  'heat-2h': { label: 'Two hours at 80 °C', hint: 'the usual' },
  'heat-6h': { label: 'Six hours at 80 °C, a night in the refrigerator', hint: 'stricter: finds more than ever shows' },
  'cold-3d': { label: 'Three days at −4 °C', hint: 'the usual' },
  'cold-frozen': { label: 'A night in the freezer, thawed', hint: 'stricter, and done tomorrow' }
}
export const TEST_NAME: Record<StabilityTest, string> = { 'heat-test': 'Heat test', 'cold-test': 'Cold test' }

/** What is done in each step, and what the sample is then doing. */
export const TEST_STEP_WORDS: Record<ProtocolStep['code'], { does: string, stands: string, move: string }> = {
  bath: { does: 'In a water bath at 80 °C', stands: 'in its bath', move: 'Into the bath' },
  cool: { does: 'Out of the bath, to cool by itself at 20 °C', stands: 'cooling', move: 'Out of the bath' },
  fridge: { does: 'Out of the bath and into the refrigerator at 4 °C', stands: 'in the refrigerator', move: 'Into the refrigerator' },
  cold: { does: 'In the cold at −4 °C', stands: 'in the cold', move: 'Into the cold' },
  freezer: { does: 'In the freezer at −18 °C, with room for ice', stands: 'in the freezer', move: 'Into the freezer' },
  thaw: { does: 'Out of the freezer, to thaw at 20 °C; turned over once', stands: 'thawing', move: 'Out of the freezer' }
}
/** How a sample is made ready: common practice, no source. */
export const TEST_READY: Record<StabilityTest, string> = {
  'heat-test': 'A clear sample, filtered through paper, in two closed glasses: one goes into the bath, one stands beside it untouched.',
  'cold-test': 'A clear sample, filtered through paper, in a closed glass that is not full: wine swells when it freezes.'
}

/** What was seen, against a torch and beside the glass that was left alone. */
export const FALLEN_WORDS: Record<StabilityTest, Record<Fallen, { label: string, hint: string }>> = {
  'heat-test': {
    none: { label: 'As clear as the other', hint: 'stable' },
    little: { label: 'A veil beside the other', hint: 'only side by side' },
    much: { label: 'Haze or flakes', hint: 'seen at once' }
  },
  'cold-test': {
    none: { label: 'No crystals', hint: 'stable' },
    little: { label: 'A few grains', hint: 'at the bottom' },
    much: { label: 'A layer of crystals', hint: 'or a cloud of them' }
  }
}
export const TEST_ADVICE: Record<TestAdvice, string> = {
  'leave': 'It is stable by this test: leave it alone.',
  'fine-least': 'Nearly stable. A bench trial with bentonite, from the least rates; the least that stays clear in the bath is enough.',
  'fine': 'Not stable. A bench trial with bentonite, each glass through the same bath; the least that stays clear is chosen.',
  'cold-or-accept': 'Crystals may come in a cold cellar. Weeks of cold before bottling, gum arabic at the bottle, or accept them: they '
    + 'are harmless.'
}
/** The words of a ledger line. */
export const sayTest = (protocol: Protocol, test: StabilityTest, fallen: Fallen, more = ''): string =>
  `${FALLEN_WORDS[test][fallen].label} (${PROTOCOL_WORDS[protocol].label.replace(/^./, (c) => c.toLowerCase())}${more})`
