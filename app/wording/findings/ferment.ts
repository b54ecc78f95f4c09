import { type FermentSays, isOnSkins, phaseOf } from '~~/core/stages'
import { sayFollowed } from '../followed'
import { listed } from '../listed'
import { type WordsFor, capital, days, grams, hours } from './say'

const SULPHIDE = {
  early: 'Feed it now, stir in some air and smell it again tomorrow. This early it is usually hunger.',
  middle: 'Give organic nutrient only, splash it once, warm it by 2 or 3 degrees and smell it again tomorrow.',
  late: 'No more nutrient. As soon as the wine is dry, rack it off its lees with a splash. Copper is toxic and limited by law: it is a '
    + 'last resort, dosed by a laboratory, never by guesswork.'
} as const

const chance = (share: number): string => (share > 0.95 ? 'almost certain' : `about ${Math.round(share * 10)} in 10`)
const sugarRange = (low: number, high: number): string =>
  low < 1 ? `up to ${Math.round(high)} g/L of sugar` : `${Math.round(low)} to ${Math.round(high)} g/L of sugar`

/** A ferment in words: what, why, what to do, and what follows if nothing is done. */
export const FERMENT: WordsFor<FermentSays> = {
  'read-ferment': ({ urgency, daysSince, expectedSg }, lot) => ({
    title: urgency === 'wait' ? 'Fermenting: read today' : 'Read gravity and temperature',
    reason:
      (urgency === 'wait'
        ? 'You read it within the last day. The next reading is due tomorrow.'
        : daysSince < 1
          ? 'Not read since yesterday. Read it once a day while it ferments.'
          : lot.sg
            ? `Last gravity ${lot.sg.value.toFixed(3)}, ${days(daysSince)} ago. Read it once a day while it ferments.`
            : `Nobody has read its gravity, and the yeast went in ${days(daysSince)} ago. Read it once a day while it ferments.`)
      + (expectedSg === undefined || urgency === 'wait' ? '' : ` Expect about ${expectedSg.toFixed(3)} now.`),
    action: 'Take readings'
  }),
  'feed': ({ part, gifts, urgency, hoursLeft }, _lot, f) => ({
    title: urgency === 'wait'
      ? `Nutrient, part ${part}, due in ${Math.max(1, Math.round(hoursLeft))} h`
      : `Add ${listed(gifts.map((g) => `${grams(g.grams)} of ${f.material(g.nutrient)}`))}`,
    reason: `${urgency === 'wait' ? capital(listed(gifts.map((g) => `${grams(g.grams)} of ${f.material(g.nutrient)}`)))
      : `Nutrient, part ${part} of 2`}. ${
      part === 1
        ? 'The first half goes in about a day after the yeast, while it is growing.'
        : 'The second half goes in when a third of the sugar has gone. After two thirds it feeds spoilage instead.'
    } Dissolve it in a little must first: powder makes a gassy must erupt.`,
    did: `${listed(gifts.map((g) => grams(g.grams)))} went in`,
    action: 'Another amount'
  }),
  'work-cap': ({ urgency, hoursSince }) => ({
    title: urgency === 'wait' ? 'Cap punched down' : 'Punch down the cap',
    reason:
      urgency === 'wait'
        ? 'Two or three times a day while the cap rises.'
        : `Last done ${hoursSince < 48 ? `${Math.round(hoursSince)} h` : days(hoursSince / 24)} ago. A dry cap turns to vinegar and traps `
          + 'heat. Beware of the carbon dioxide above the must.',
    did: 'Punched down',
    action: 'Take readings'
  }),
  'press': ({ because }, lot) => ({
    title: 'Press',
    reason: {
      'gravity': `${lot.sg?.value.toFixed(3) ?? 'The gravity'} is where your method presses. Taste skins and seeds first. Keep free run `
        + 'and press wine apart if there is enough of each.',
      'days': 'It is dry and has had its weeks on the skins. Taste it: when it stops gaining, press.',
      'taste': 'It has enough tannin. Press before it turns harsh.',
      'stopped': 'The gravity has stopped falling. More time on the skins will not make it drier, so press now.',
      'too-long': 'It has been on the skins longer than any method needs. Press now, whatever the gravity.'
    }[because],
    action: 'Press day'
  }),
  'stuck': ({ sg, hours: since, sugarLow, sugarHigh }) => ({
    title: 'Stuck: sugar is left',
    reason: `${sg.toFixed(3)} for ${days(since / 24)}, with ${sugarRange(sugarLow, sugarHigh)} left. If it is cold, warm it first. `
      + 'Otherwise restart it with fresh, well-fed yeast. Left as it is, it stays sweet and open to spoilage.',
    action: 'Restart it'
  }),
  'tell-if-dry': ({ sg, hours: since, sugarHigh }) => ({
    title: 'Is it dry?',
    reason: `${sg.toFixed(3)} for ${days(since / 24)}. The gravity alone cannot tell: there may be none left, or up to `
      + `${Math.round(sugarHigh)} g/L of sugar. A sugar test decides. Kits and full reds often end this high with nothing left.`,
    action: 'Enter a sugar test'
  }),
  'not-begun': ({ hours: since }) => ({
    title: 'The yeast has not started',
    reason: `No fall ${since < 72 ? `${Math.round(since)} h` : days(since / 24)} after the yeast went in. Check the temperature, warm it `
      + 'if it is cold, and pitch fresh yeast that you have rehydrated. A must that waits will spoil.',
    action: 'Pitch again'
  }),
  'may-be-stuck': ({ sg, probability }) => ({
    title: 'It may have stopped',
    reason: `${sg.toFixed(3)}, hardly falling (${chance(probability)} that it has stopped). Read it again tomorrow before you act: one `
      + 'slip can look like this. Keep it warm and stir up the yeast.',
    action: 'Open the lot'
  }),
  'slow': ({ daysBehind }) => ({
    title: 'Slow for its temperature',
    reason: `About ${days(Math.max(1, daysBehind))} behind the slowest usual ferment for this must. Check for cold, hunger and too `
      + 'little yeast now. Later you cannot correct any of these.',
    action: 'Open the lot'
  }),
  'may-stop-sweet': ({ probability }) => ({
    title: 'It may stop with sugar left',
    reason: `At this pace, ${chance(probability)}. Keep it warm until the end, stir up the yeast, avoid cold nights and read it daily.`,
    action: 'Open the lot'
  }),
  'too-hot': ({ celsius, max, deadly }, _lot, f) => ({
    title: deadly ? 'Cool it now' : 'Too warm',
    reason: `${f.words(f.temperature(celsius))}. The upper limit is ${f.words(f.temperature(max))}. ${
      deadly ? 'Yeast dies within hours at this temperature and the ferment sticks.' : 'It loses aroma, and if it gets hotter, yeast.'
    } Put in frozen bottles and swap them as they melt. Open the cap to let heat out.`,
    did: 'I am cooling it',
    action: 'Plan the cooling'
  }),
  'too-cold': ({ celsius, min }, _lot, f) => ({
    title: 'Too cold',
    reason: `${f.words(f.temperature(celsius))}. Below ${f.words(f.temperature(min))} this yeast works slowly and may stop. Warm it by `
      + `a few degrees a day, and stir up the yeast.`,
    did: 'I am warming it',
    action: 'Plan the warming'
  }),
  'temperature-awaited': ({ what, celsius, urgency }, _lot, f) => ({
    title: what === 'cool' ? 'Being cooled' : 'Being warmed',
    reason: `${f.words(f.temperature(celsius))} before that. ${urgency === 'note' ? 'Read its temperature again in a few hours.'
      : 'Read its temperature again: only that shows whether it was enough.'}`,
    action: 'Take readings'
  }),
  'temperature-rises': ({ from, to, roomC }, _lot, f) => ({
    title: 'Warming up: is the cooling off?',
    reason: `From ${f.words(f.temperature(from))} to ${f.words(f.temperature(to))} within about a day, and the room is at `
      + `${f.words(f.temperature(roomC!))}. Use frozen bottles, a wet cloth or a cooler corner.`,
    did: 'I am cooling it',
    action: 'Plan the cooling'
  }),
  'temperature-falls': ({ from, to, roomC }, _lot, f) => ({
    title: 'Cooling fast: is the heater off?',
    reason: `From ${f.words(f.temperature(from))} to ${f.words(f.temperature(to))} within about a day${
      roomC === undefined ? '' : `, and the room is at ${f.words(f.temperature(roomC))}`
    }. Check the plug and the door first. Warm yeast that suddenly gets cold stops working.`,
    did: 'I am warming it',
    action: 'Plan the warming'
  }),
  'float-odd': ({ wrong }) => ({
    title: 'The floating hydrometer sends odd readings',
    reason: `Left out or missing: ${wrong.map(sayFollowed).join(', ')}. Everything else was kept. Take one reading by hand. A silent `
      + 'float has slipped under the foam or needs a new battery.',
    action: 'Open the lot'
  }),
  'stir-must': ({ hoursSince }) => ({
    title: 'Stir the must',
    reason: `${hoursSince < 40 ? 'Once a day' : `Last stirred ${Math.round(hoursSince / 24)} days ago`}. Yeast that settles on the bottom `
      + 'goes hungry. Start slowly: it may foam.',
    did: 'Stirred',
    action: 'Take readings'
  }),
  'sugar-step': ({ material, grams: g, part, of, atSg, ready }, _lot, f) => ({
    title: ready ? `Feed it: part ${part} of ${of}` : `Part ${part} of ${of} comes later`,
    reason: `${capital(f.words(f.powder(g)))} of ${f.material(material)}${
      ready ? ', dissolved in some of its own must and added slowly' : `, once the gravity is down to ${atSg.toFixed(3)}`
    }. In parts, so that the yeast never faces too much sugar at once.`,
    action: 'Feed it'
  }),
  'over-tolerance': ({ potentialAbv, toleranceAbv }, lot) => ({
    title: 'Too much sugar for this yeast',
    reason: `The sugar can make ${potentialAbv.toFixed(1)} % vol and the yeast card says ${toleranceAbv} %. It will probably stay sweet. ${
      phaseOf(lot) === 'early'
        ? 'You can still add a little water, or a stronger yeast.'
        : 'Keep it warm until the end. What is left makes a sweet wine, goes into a blend, or needs a restart with a stronger yeast.'
    }`,
    action: 'Open the lot'
  }),
  'under-fed': ({ shortMgPerL }) => ({
    title: 'Underfed, and too late to feed',
    reason: `About ${Math.round(shortMgPerL / 10) * 10} mg/L of nitrogen short. After two thirds of the sugar, nutrient feeds spoilage. `
      + 'Yeast hulls and warmth still help.',
    action: 'Open the lot'
  }),
  'smells': ({ smell, phase }) => ({
    title: { 'rotten-egg': 'Rotten egg smell', 'vinegar': 'Vinegar smell', 'nail-varnish': 'Nail varnish smell' }[smell],
    reason: {
      'rotten-egg': SULPHIDE[phase],
      'vinegar': 'Acetic bacteria live where there is air. Push the cap under, cover it, keep it cool, and get it dry and pressed. What is '
        + 'already there stays.',
      'nail-varnish': 'Ethyl acetate, from wild yeast or a dry cap. Punch down, keep the lid on and keep it cooler. A trace disappears, a '
        + 'lot does not.'
    }[smell],
    action: 'Open the lot'
  }),
  'brix-in-ferment': ({ brix }) => ({
    title: 'Was this a refractometer?',
    reason: `${brix} °Brix was entered during the ferment without an instrument. A refractometer reads too high once there is alcohol. `
      + 'Name it on the reading and Presk corrects it.',
    action: 'Open the lot'
  }),
  'reading-doubtful': ({ sg, expectedSg }) => ({
    title: 'One reading does not fit',
    reason: `${sg.toFixed(3)}, where about ${expectedSg.toFixed(3)} was expected. The forecast ignores it. Correct it, or dismiss this and `
      + 'it counts.',
    action: 'Open the lot'
  }),
  'temperature-doubtful': ({ celsius }, _lot, f) => ({
    title: 'One temperature is impossible',
    reason: `${f.words(f.temperature(celsius))} cannot be a must. The curve and the forecast ignore it. Correct it, or dismiss this and it `
      + 'counts.',
    action: 'Open the lot'
  }),
  'fits-no-ferment': () => ({
    title: 'These readings do not look like a ferment',
    reason: 'They rise and fall as no must does. Check the hydrometer in water, stir, let the sample settle and read again.',
    action: 'Open the lot'
  }),
  'skins-long': ({ days: since }) => ({
    title: 'A long time on the skins',
    reason: `${Math.round(since)} days. The cap sinks, and what comes out now is bitter. Press, or keep the vessel full and closed.`,
    action: 'Press day'
  }),
  'little-room': ({ vessel, neededL, over }, lot, f) => ({
    title: over ? `${vessel} may overflow` : `Little room in ${vessel}`,
    reason: `${isOnSkins(lot) ? 'The cap rises by a fifth' : 'The ferment foams'}, and more when you feed or stir it. You need `
      + `${f.words(f.volume(neededL))}. Take some out while it ferments, and stand the vessel where a spill does no harm.`,
    action: 'Open the lot'
  }),
  'air': ({ phase }) =>
    phase === 'early'
      ? {
          title: 'Air helps now',
          reason: 'Until a third of the sugar has gone, yeast uses air. Stir or splash when you work on it, whites gently.',
          action: 'Open the lot'
        }
      : {
          title: 'No more air',
          reason: 'After two thirds of the sugar, air does harm. Punch down gently, keep the lid on and do not splash.',
          action: 'Open the lot'
        },
  'confirm-dryness': ({ hoursLeft }) => ({
    title: hoursLeft > 0 ? `Read the gravity again in ${hours(hoursLeft)}` : 'Read the gravity again',
    reason: 'One dry reading proves nothing. Two that agree, two to three days apart, do. Neither a still nor a bubbling airlock does.',
    action: 'Measure'
  }),
  'left-alone': ({ days: since }) => ({
    title: 'Read the gravity: has it finished?',
    reason: `Last read ${days(since)} ago, with sugar left. Two readings that agree show whether it ended sweet.`,
    action: 'Measure'
  })
}
