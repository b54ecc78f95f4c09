import type { Ending } from '~~/core/stages'

export const ENDING: Record<Ending['verdict'], { title: string, text: string }> = {
  'dry': { title: 'Dry', text: 'Proven by two readings.' },
  'one-look': { title: 'Dry by one reading', text: 'Read it again after two to three days: two readings that agree prove it. A still '
    + 'airlock '
    + 'proves nothing, nor does a bubbling one.' },
  'falls-still': { title: 'Low, and still falling', text: 'It is low enough to be dry and still falling. Wait, and read it again '
    + 'in two days.' },
  'near': { title: 'Near its end', text: 'The last grams take longest. Keep it warm, and read it until two readings agree.' },
  'sweet': { title: 'It ended sweet', text: 'There is sugar left, and any yeast in it can ferment again, even in the bottle. Restart it, '
    + 'or stabilise it as a sweet wine.' }
}
export const METHOD: Record<'factor131' | 'factor129' | 'oechsle75', string> = {
  factor131: '(OG − FG) × 131.25',
  factor129: '(OG − FG) × 129',
  oechsle75: 'Oechsle lost ÷ 7.5'
}
