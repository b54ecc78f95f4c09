import { type FermentSays, phaseOf } from '~~/core/stages'
import { sayFollowed } from '../followed'
import { listed } from '../listed'
import { type WordsFor, capital, days } from './say'

const SULPHIDE = {
  early: 'Feed it now, stir air in, and smell again tomorrow: this early it is mostly hunger.',
  middle: 'Give organic nutrient only, splash it once, warm it by two or three degrees, and smell again tomorrow.',
  late: 'No more nutrient. Rack it with a splash as soon as it is dry, off its lees. Copper is a poison with legal limits: a last '
    + 'resort, by a laboratory’s figure, never by guess.'
} as const

const percent = (share: number): string => (share > 0.95 ? 'almost surely' : `about ${Math.round(share * 10)} times in 10`)

/** A ferment in words: what, why, what to do, and what follows if nothing is done. */
export const FERMENT: WordsFor<FermentSays> = {
  'read-ferment': ({ urgency, daysSince, expectedSg }, lot) => ({
    title: urgency === 'wait' ? 'Fermenting, read today' : 'Read gravity and temperature',
    reason:
      (urgency === 'wait'
        ? 'Read within the day; it asks again tomorrow.'
        : daysSince < 1
          ? 'Not read since yesterday. Once a day while it works.'
          : `Last gravity ${lot.sg ? lot.sg.value.toFixed(3) : 'unknown'}, ${days(daysSince)} ago. Once a day while it works.`) +
          (expectedSg === undefined || urgency === 'wait' ? '' : ` About ${expectedSg.toFixed(3)} is expected now.`),
    action: 'Go round'
  }),
  feed: ({ part, gifts, urgency, hoursLeft }, _lot, f) => ({
    title: urgency === 'wait'
      ? `Nutrient, part ${part}, in ${Math.max(1, Math.round(hoursLeft))} h`
      : `Give the nutrient, part ${part} of 2`,
    reason: `${capital(listed(gifts.map((g) => `${g.grams < 10 ? g.grams.toFixed(1) : g.grams.toFixed(0)} g ${f.material(g.nutrient)}`)))}. ${
      part === 1 ? 'About a day after the yeast, while it grows.' : 'At a third of the sugar gone; after two thirds it feeds what is not '
        + 'wanted.'
    } Dissolve it in a little must first: powder in a gassy must erupts.`,
    action: 'Log it'
  }),
  'work-cap': ({ urgency, hoursSince }) => ({
    title: urgency === 'wait' ? 'Cap worked' : 'Push the cap down',
    reason:
      urgency === 'wait'
        ? 'Two or three times a day while it rises.'
        : `Not worked for ${hoursSince < 48 ? `${Math.round(hoursSince)} h` : days(hoursSince / 24)}. A dry cap turns to vinegar and `
          + 'holds heat. Mind the gas over the must.',
    action: 'Go round'
  }),
  press: ({ because }, lot) => ({
    title: 'Press it',
    reason: {
      gravity: `${lot.sg?.value.toFixed(3) ?? 'The gravity'} is where its school presses. Taste skins and seeds first; free run and `
        + 'press wine apart if there is enough.',
      days: 'Dry, and its weeks on skins are over. Taste it: when it has stopped gaining, press.',
      taste: 'It tastes of enough. Press it before it turns harsh.'
    }[because],
    action: 'Press day'
  }),
  stuck: ({ sg, hours, probability }) => ({
    title: hours < 44 ? 'It seems to have stopped' : 'It has stopped with sugar left',
    reason: `${sg.toFixed(3)} and no lower for ${days(hours / 24)}${
      probability === undefined || probability > 0.95 ? '' : ` (${percent(probability)})`
    }. ${hours < 44 ? 'Read it once more before you act: two looks can be one slip. ' : ''}Warm it to the middle of its range, stir up the yeast, and read again tomorrow; if it stays, restart it with a fresh, well-fed yeast. Left alone it stays sweet and open to spoilage.`,
    action: 'How to restart it'
  }),
  'not-begun': ({ hours }) => ({
    title: 'The yeast has not taken',
    reason: `${Math.round(hours)} h after the yeast there is no fall. A still airlock alone would prove nothing; the gravity does. Check `
      + 'its temperature, warm it, and pitch fresh yeast, rehydrated: a must that waits spoils.',
    action: 'Open the lot'
  }),
  slow: ({ daysBehind }) => ({
    title: 'Slow for its temperature',
    reason: `About ${days(Math.max(1, daysBehind))} behind the slowest that such a must usually is. Look for cold, hunger and a thin `
      + 'pitch now; later nothing of it can be mended.',
    action: 'Open the lot'
  }),
  'may-stop-sweet': ({ probability }) => ({
    title: 'It may stop with sugar left',
    reason: `As it goes, ${percent(probability)}. Keep it warm to the end, stir the yeast up, and give it no cold nights. Read it daily.`,
    action: 'Open the lot'
  }),
  'too-hot': ({ celsius, max, deadly }, _lot, f) => ({
    title: deadly ? 'Cool it now' : 'Too warm',
    reason: `${f.words(f.temperature(celsius))}; ${f.words(f.temperature(max))} is its upper edge. ${
      deadly ? 'Yeast dies here within hours, and the wine sticks.' : 'Aroma goes, and higher up the yeast.'
    } Frozen bottles, swapped as they melt; open the cap to let heat out.`,
    action: 'Ice for it'
  }),
  'too-cold': ({ celsius, min }, _lot, f) => ({
    title: 'Too cold',
    reason: `${f.words(f.temperature(celsius))}; below ${f.words(f.temperature(min))} this yeast goes to sleep. Warm it slowly, a few `
      + 'degrees a day, and stir it up.',
    action: 'Warmth for it'
  }),
  'temperature-rises': ({ from, to, roomC }, _lot, f) => ({
    title: 'It warms up: is the cooler off?',
    reason: `From ${f.words(f.temperature(from))} to ${f.words(f.temperature(to))} within about a day, and the room beside it has `
      + `${f.words(f.temperature(roomC!))}. Ice, a wet cloth, or a cooler corner.`,
    action: 'Ice for it'
  }),
  'float-odd': ({ wrong }) => ({
    title: 'The float is odd',
    reason: `Left out or wanting: ${wrong.map(sayFollowed).join(', ')}. What fitted was kept. Read once by hand; a float that is silent `
      + 'has slipped under foam, or wants its battery.',
    action: 'Open the lot'
  }),
  'temperature-falls': ({ from, to, roomC }, _lot, f) => ({
    title: 'It cools fast: is the heater off?',
    reason: `From ${f.words(f.temperature(from))} to ${f.words(f.temperature(to))} within about a day${
      roomC === undefined ? '' : `, and the room beside it has ${f.words(f.temperature(roomC))}`
    }. Look at plug and door first. A yeast that was warm and gets cold gives up.`,
    action: 'Warmth for it'
  }),
  'stir-must': ({ hoursSince }) => ({
    title: 'Stir it',
    reason: `${hoursSince < 40 ? 'Once a day' : `Not stirred for ${Math.round(hoursSince / 24)} days`}: yeast that lies on the bottom `
      + 'goes hungry. Slowly at first; it may foam.',
    action: 'Go round'
  }),
  'sugar-step': ({ material, grams, part, of, atSg, ready }, _lot, f) => ({
    title: ready ? `Feed it: part ${part} of ${of}` : `Part ${part} of ${of} waits`,
    reason: `${capital(f.words(f.powder(grams)))} of `
      + `${f.material(material)}${ready ? ', dissolved in some of its own must, and added slowly' : `, when it is down to ${atSg.toFixed(3)}`}. In parts, so that the yeast never lies in too much sugar.`,
    action: 'Feed it'
  }),
  'over-tolerance': ({ potentialAbv, toleranceAbv }, lot) => ({
    title: 'More sugar than its yeast bears',
    reason: `${potentialAbv.toFixed(1)} % vol possible, and the card says ${toleranceAbv} %. It is likely to stay sweet. ${
      phaseOf(lot) === 'early' ? 'A little water would lower it now, or a stronger yeast can still take over.' : 'Keep it warm and aired '
        + 'of its gas to the end; what it leaves is for a sweet wine, a blend, or a restart with a stronger yeast.'
    }`,
    action: 'Open the lot'
  }),
  'under-fed': ({ shortMgPerL }) => ({
    title: 'Fed too little, and too late for more',
    reason: `About ${Math.round(shortMgPerL / 10) * 10} mg/L of nitrogen short. After two thirds of the sugar more nutrient feeds `
      + 'spoilage; yeast hulls and warmth are what helps.',
    action: 'Open the lot'
  }),
  smells: ({ smell, phase }) => ({
    title: { 'rotten-egg': 'Rotten egg', vinegar: 'Vinegar', 'nail-varnish': 'Nail varnish' }[smell],
    reason:
      smell === 'rotten-egg'
        ? SULPHIDE[phase]
        : smell === 'vinegar'
          ? 'Acetic bacteria live where air is: push the cap under, cover it, keep it cool, and get it dry and pressed. What is there '
            + 'stays.'
          : 'Ethyl acetate: wild yeast or a dry cap. Work the cap, keep the lid on, keep it cooler. A trace goes off; much of it does not.',
    action: 'Open the lot'
  }),
  'brix-in-ferment': ({ brix }) => ({
    title: 'Was that a refractometer?',
    reason: `${brix} °Brix were read while it ferments, with no instrument named. A refractometer reads too high once there is alcohol: `
      + 'name it on the reading, and it is corrected.',
    action: 'Open the lot'
  }),
  'reading-doubtful': ({ sg, expectedSg }) => ({
    title: 'One reading does not fit',
    reason: `${sg.toFixed(3)}, where about ${expectedSg.toFixed(3)} belongs. It is left out of the forecast. Correct it, or leave it as `
      + 'seen and it counts.',
    action: 'Open the lot'
  }),
  'temperature-doubtful': ({ celsius }, _lot, f) => ({
    title: 'One temperature cannot be',
    reason: `${f.words(f.temperature(celsius))} is none of a must. It is left out of curve and forecast. Correct it, or leave it as seen `
      + 'and it counts.',
    action: 'Open the lot'
  }),
  'fits-no-ferment': () => ({
    title: 'These readings fit no ferment',
    reason: 'They rise and fall as no must does. Check the hydrometer in water, stir, let the sample stand, and read again.',
    action: 'Open the lot'
  }),
  'skins-long': ({ days: since }) => ({
    title: 'Long on its skins',
    reason: `${Math.round(since)} days. The cap sinks, and what comes out now is bitter. Press it, or keep it full and closed.`,
    action: 'Press day'
  }),
  'little-room': ({ vessel, neededL, over }, lot, f) => ({
    title: over ? `It may run over: ${vessel}` : `Little room in ${vessel}`,
    reason: `A ${lot.style === 'red' ? 'cap rises by a fifth' : 'ferment foams'} and more when it is fed or stirred. `
      + `${f.words(f.volume(neededL))} would be room enough: take some out for as long as it works, and stand the vessel where it may `
      + 'spill.',
    action: 'Open the lot'
  }),
  air: ({ phase }) =>
    phase === 'early'
      ? {
          title: 'Air helps now',
          reason: 'Until a third of the sugar is gone yeast uses it: stir or splash with the daily work. Whites gently.',
          action: 'Open the lot'
        }
      : {
          title: 'No more air',
          reason: 'After two thirds it harms: work the cap gently, keep the lid on, and do not splash.',
          action: 'Open the lot'
        },
  'confirm-dryness': ({ hoursLeft }) => ({
    title: hoursLeft > 0 ? 'Leave it, then read the gravity again' : 'Read the gravity once more',
    reason: 'One dry reading is no proof: two that agree, two to three days apart, are. A still airlock proves nothing, nor does one '
      + 'that bubbles.',
    action: 'Measure'
  }),
  'left-alone': ({ days: since }) => ({
    title: 'Read the gravity: is it over?',
    reason: `Last looked at ${days(since)} ago, with sugar left by the hydrometer. Two readings that agree tell whether it ended sweet.`,
    action: 'Measure'
  })
}
