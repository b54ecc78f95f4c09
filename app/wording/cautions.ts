/** Cautions, once each, at the step they belong to. They defer to local rules, the packet and licensed practice. */
export const CAUTIONS = {
  sulphite: 'Sulphite powder and its gas hurt the lungs, asthmatics’ most of all. Weigh it with the window open, never near strong acid, and dissolve it in water before it goes in. The packet and your local limits come first; wine given away needs “contains sulphites” on it.',
  caustic: 'The titrant is caustic: gloves and goggles, and out of children’s reach. Rinse splashes with plenty of water.',
  carbonDioxide: 'A ferment fills low rooms with carbon dioxide, which kills without warning. Air the room before you stay in it, and never put your head in a tank.'
} as const
export type CautionCode = keyof typeof CAUTIONS
