import type { Ending } from '~~/core/stages'

export const ENDING: Record<Ending['verdict'], { title: string, text: string }> = {
  'dry': { title: 'Dry', text: 'Proven, and it may go on.' },
  'one-look': { title: 'Dry by one look', text: 'Read it once more, two to three days after: two that agree are a proof. A still airlock '
    + 'is none, nor is a bubbling one.' },
  'falls-still': { title: 'Low, and still falling', text: 'It is under where dry begins and not at its end. Leave it, and read it again '
    + 'in two days.' },
  'near': { title: 'Near its end', text: 'The last grams take the longest. Keep it warm, and read it until two looks agree.' },
  'sweet': { title: 'It ended sweet', text: 'Sugar is left, and whatever yeast wakes up in it ferments on, in a bottle too. Restart it, '
    + 'or stabilise it as a sweet wine.' }
}
export const SCHOOL: Record<'factor131' | 'factor129' | 'oechsle75', string> = {
  factor131: '(OG − FG) × 131.25',
  factor129: '(OG − FG) × 129',
  oechsle75: 'Oechsle lost ÷ 7.5'
}
