import type { PressFinding, PressMethod } from '~~/core/fermentation'

export const PRESS_METHOD: Record<PressMethod, { label: string, hint: string }> = {
  early: { label: 'Early', hint: 'with sugar left, at about 1.020 to 1.000: softer and fruitier' },
  'at-dryness': { label: 'At dryness', hint: 'when the sugar is gone: the usual' },
  extended: { label: 'Extended', hint: 'three to four weeks, until the cap sinks: more body, more risk' }
}

type Said = { [K in PressFinding['code']]: (f: Extract<PressFinding, { code: K }>) => string }
const SAID: Said = {
  'press-now': ({ because }) =>
    ({
      'gravity': 'The gravity is where your method presses: press now.',
      'days': 'It has had its weeks on the skins: press now.',
      'taste': 'It has enough tannin: press before it turns harsh.',
      'stopped': 'The gravity has stopped falling: press now.',
      'too-long': 'It has been on the skins longer than any method needs: press now.'
    })[because],
  'wait-for-gravity': ({ toSg }) => `Your method waits for ${toSg.toFixed(3)} or lower. In the end, taste decides.`,
  'wait-for-days': ({ days }) => `Your method keeps it on the skins for ${Math.ceil(days)} more days.`,
  'still-fermenting': ({ sg }) => `At ${sg.toFixed(3)} it goes on fermenting after the press: an airlock, and room for foam.`,
  'skins-long': ({ days }) => `${Math.round(days)} days on skins: what comes out now is bitter.`,
  apart: () => 'There is enough press wine to keep apart: it has more tannin and a higher pH, and can be blended in later by taste.',
  together: () => 'There is too little press wine to keep apart: together, and the vessel is fuller.'
}
/** A finding of press day as a sentence. */
export const sayPress = (f: PressFinding): string => (SAID[f.code] as (f: PressFinding) => string)(f)
export const HARD_PRESS =
  'Press gently, in steps, and stop when it turns bitter or brown. Wrung bags and crushed seeds give a harshness that no fining takes '
    + 'out again.'
