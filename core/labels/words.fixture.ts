import type { LabelWords } from '.'

/** A made-up label. */
export const words: LabelWords = {
  name: 'Treixadura',
  vintage: '2025',
  from: 'Treixadura 85 %, Albariño 15 %',
  own: 'From the slope behind the chapel',
  strength: '12.5 % vol · 750 mL',
  bottled: 'Bottled 26 March 2026',
  contains: 'Contains sulphites, egg',
  lot: 'Lot L26085-TRE · made at home, not for sale',
  records: ['Treixadura 2025\nLot L26085-TRE\n12.5 % vol\npH 3.21, TA 6.8 g/L\nBottled 2026-03-26', 'Treixadura 2025, L26085-TRE']
}
