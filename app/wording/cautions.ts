/** Cautions, once each, at the step they belong to. They defer to local rules, the packet and licensed practice. */
export const CAUTIONS = {
  sulphite:
    'Sulphite powder and its gas hurt the lungs, asthmatics’ most of all. Weigh it with the window open, never near strong acid, and '
      + 'dissolve it in water before it goes in. The packet and your local limits come first; wine given away needs “contains sulphites” '
      + 'on it.',
  caustic: 'The titrant is caustic: gloves and goggles, and out of children’s reach. Rinse splashes with plenty of water.',
  carbonDioxide:
    'A ferment fills low rooms with carbon dioxide, which kills without warning. Air the room before you stay in it, and never put your '
      + 'head in a tank.',
  dryIce:
    'Dry ice turns into carbon dioxide, which kills without warning in a closed room, and it burns the skin. Frozen bottles are the '
      + 'safer way; with dry ice follow its supplier, wear gloves and keep the doors open.',
  press:
    'A press holds great force: hands and hair out of it while it turns, nothing under the screw, and let the pressure off before you '
      + 'open it. Stand it level. Full glass weighs more than it looks: lift in pairs, or move the wine and not the glass.',
  lifting:
    'A crusher or a press takes fingers as readily as grapes: off and unplugged before a hand goes in. Full glass weighs more than it '
      + 'looks and breaks without warning: lift in pairs, or move the wine and not the glass.',
  fullGlass:
    'Full glass weighs more than it looks and breaks without warning: move the wine and not the glass, lift in pairs, no cracked neck. A '
      + 'cellar that a ferment was in is aired first.',
  pressure:
    'A bottle under pressure is a small bomb: only bottles that their maker rates for it, goggles and gloves when one is handled, warm '
      + 'or cold shocks never. Never strike a closure into a filled bottle. When in doubt open them all and begin again.',
  heatBottles:
    'Hot bottles scald and burst: warm them slowly in a bath with a cloth under them, room for the wine to grow or the closure loose, a '
      + 'lid over the pot, goggles on. Nothing sparkling is ever heated.',
  hotGlass:
    'A closed glass in hot water can burst and scald: a cloth under it, the lid not quite tight, warmed slowly with the water, tongs and '
      + 'goggles. It cools by itself, never under the tap.',
  allergens:
    'Fining agents of egg, milk, fish and shellfish can harm those who are allergic, and traces stay: name them to everybody who drinks '
      + 'it. Dust of bentonite and charcoal is not to be breathed in. The packet and local rules come first.',
  enzymes: 'Enzyme powder can cause allergies when breathed in: no dust, and the packet’s own advice first.',
  hotFruit:
    'Must at 70 °C scalds, and so does its steam: no full pot carried alone, no child near it, a lid that opens away from you. Only '
      + 'food-grade steel or enamel on the flame, and never a closed vessel.',
  hotWater: 'Water at 40 °C is only warm, but kettles scald. Mix the hot into the cold, with a thermometer in it.',
  limits:
    'Some countries limit or forbid acid, sugar and water in wine, and how much a household may make; home-made wine is usually not for '
      + 'sale. Your local rules come first.'
} as const
export type CautionCode = keyof typeof CAUTIONS
