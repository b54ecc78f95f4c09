/** Cautions, once each, at the step they belong to. They defer to local rules, the packet and licensed practice. */
export const CAUTIONS = {
  sulphite:
    'Sulphite powder and its gas hurt the lungs, above all with asthma. Weigh it by an open window, away from strong acid, and '
      + 'dissolve it in water before you add it. Follow the packet and your local limits, and mark wine you give away “contains '
      + 'sulphites”.',
  caustic: 'The titrant is caustic. Wear gloves and goggles, and keep it away from children. Rinse splashes with plenty of water.',
  carbonDioxide:
    'A ferment fills low rooms with carbon dioxide, which kills without warning. Air the room before you go in, and never put '
      + 'your head into a tank.',
  dryIce:
    'Dry ice turns into carbon dioxide, which kills without warning in a closed room, and it burns the skin. Frozen bottles '
      + 'are safer. If you use dry ice, follow the supplier, wear gloves and keep the doors open.',
  press:
    'A press works with great force: keep hands and hair out of it while it moves, put nothing under the screw, and release '
      + 'the pressure before you open it. Stand it level. Full glass is heavier than it looks: lift it with a second person, or '
      + 'move the wine instead.',
  lifting:
    'A crusher or press can take your fingers. Switch it off and unplug it before you reach in. Full glass is heavy and breaks '
      + 'without warning: lift it with a second person, or move the wine instead.',
  fullGlass:
    'Full glass is heavier than it looks and breaks without warning. Move the wine instead, or lift with a second person, and '
      + 'never use a cracked neck. Air a cellar where wine has fermented before you go in.',
  pressure:
    'A bottle under pressure can explode: use only bottles rated for it, wear goggles and gloves when you handle one, and '
      + 'avoid sudden heat or cold. Never hammer a closure into a filled bottle. If in doubt, open them all and start again.',
  heatBottles:
    'Hot bottles scald and burst. Put a cloth under them, warm them slowly in a water bath, leave room for the wine to expand '
      + 'or the closure loose, cover the pot and wear goggles. Never heat a sparkling wine.',
  hotGlass:
    'A closed glass in hot water can burst and scald. Put a cloth under it, leave the lid slightly loose, warm it slowly with '
      + 'the water, and use tongs and goggles. Let it cool by itself, never under the tap.',
  allergens:
    'Fining agents from egg, milk, fish and shellfish can harm people with allergies, and traces stay in the wine: tell '
      + 'everyone who drinks it. Do not breathe in dust of bentonite or charcoal. Follow the packet and local rules.',
  enzymes: 'Enzyme powder can cause allergies if you breathe it in. Avoid dust, and follow the packet.',
  hotFruit:
    'Must at 70 °C scalds, and so does its steam. Do not carry a full pot alone, keep children away, and open the lid away '
      + 'from you. Use only food-grade steel or enamel on the flame, and never a closed vessel.',
  hotWater: 'Water at 40 °C is only warm, but kettles scald. Pour the hot water into the cold, with a thermometer in it.',
  limits:
    'Some countries limit or forbid acid, sugar and water in wine, and how much a household may make. Home-made wine may '
      + 'usually not be sold. Follow your local rules.'
} as const
export type CautionCode = keyof typeof CAUTIONS
