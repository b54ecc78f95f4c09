import type { Act } from '~~/core/ledger'
import type { SayFormat } from './findings/say'

const hours = (n: number): string => (n < 1.5 ? 'an hour' : `${Math.round(n)} hours`)
type ActFormat = Pick<SayFormat, 'temperature' | 'words' | 'material' | 'volume'>
/** Water by the person's own measure. */
const amount = (n: number, unit: string, f: ActFormat): string => (unit === 'L' ? f.words(f.volume(n)) : `${figure(n)} ${unit}`)
const figure = (n: number): string => String(Number(n.toPrecision(3)))

/** What was done, what follows from it, and what can still be done about it. */
export function sayAct(act: Act, f: ActFormat): { title: string, reason: string } {
  switch (act.code) {
    case 'sulphite-in-ferment':
      return {
        title: 'Sulphite went into a ferment',
        reason: `${act.mgPerL.toFixed(0)} mg/L. Most of it binds at once and protects nothing, and it can slow the yeast. Add none `
          + `until the wine is dry.`
      }
    case 'sulphite-on-yeast':
      return {
        title: 'Sulphite went in right after the yeast',
        reason: `${act.mgPerL.toFixed(0)} mg/L, ${hours(act.hours ?? 0)} after pitching. The yeast may not start. If there is no fall `
          + `after two days, pitch again.`
      }
    case 'yeast-on-sulphite':
      return {
        title: 'The yeast went in too soon after the sulphite',
        reason: `Only ${hours(act.hours)} after it, with about ${act.mgPerL.toFixed(0)} mg/L still free. Give it air and watch it: if `
          + `there is no fall after two days, pitch again.`
      }
    case 'pitched-hot':
      return {
        title: 'The must was too hot for the yeast',
        reason: `${f.words(f.temperature(act.celsius))}. Yeast dies above ${f.words(f.temperature(act.limit))}. Cool the must, and `
          + `pitch again if nothing happens by tomorrow.`
      }
    case 'pitched-cold':
      return {
        title: 'The must was very cold for the yeast',
        reason: `${f.words(f.temperature(act.celsius))}. Below ${f.words(f.temperature(act.limit))} yeast hardly starts. Warm it by a `
          + `few degrees a day.`
      }
    case 'yeast-shocked':
      return {
        title: 'Yeast and must were far apart in temperature',
        reason: `${figure(act.apartC)} °C, where ${act.limit} is the limit. Part of the yeast dies. Watch the start, and next time add `
          + `must to the yeast in small portions first.`
      }
    case 'phosphate-late':
      return {
        title: 'Ammonium phosphate went in late',
        reason: `${act.gonePercent.toFixed(0)} % of the sugar had gone. The yeast no longer uses it, and spoilage can. Add none after `
          + `a third of the sugar, and protect the wine soon after it is dry.`
      }
    case 'enzyme-beside-sulphite':
      return {
        title: 'Enzyme and sulphite went in close together',
        reason: `${act.hours < 1 ? 'Within the hour' : `Within ${hours(act.hours)}`}. Sulphite weakens the enzyme. Allow it more time, `
          + `and keep them six hours apart next time.`
      }
    case 'enzyme-after-bentonite':
      return {
        title: 'Enzyme after bentonite',
        reason: 'Bentonite removes enzymes. Rack the must off it before you add enzyme again.'
      }
    case 'fined-in-ferment':
      return {
        title: 'A fining went in during the ferment',
        reason: `${f.material(act.material)} cannot settle while gas rises. Wait until the wine is dry, rack it, and fine it then.`
      }
    case 'powder-into-gas':
      return {
        title: 'Powder went into a gassy wine',
        reason: `${f.material(act.material)} makes it erupt and settles badly. Degas the wine and check it with a shaken sample.`
      }
    case 'wine-splashed':
      return {
        title: 'A finished wine was splashed',
        reason: 'It took up air, which uses up sulphite and ages it. Measure free SO₂ and bring it back to its level.'
      }
    case 'beyond-tolerance':
      return {
        title: 'More sugar than the yeast can take',
        reason: `It can make ${act.potentialAbv.toFixed(1)} % vol and this yeast stops at about ${act.toleranceAbv.toFixed(0)} %. `
          + `Expect a sweet wine, or dilute it now, or use a stronger yeast.`
      }
    case 'bacteria-on-sorbate':
    case 'sorbate-on-bacteria':
      return {
        title: 'Sorbate and malolactic bacteria in one wine',
        reason: 'Bacteria turn sorbate into a smell of geraniums, for good. Bring the sulphite to its level at once, keep the wine '
          + 'cold and drink it early.'
      }
    case 'sorbate-in-ferment':
      return {
        title: 'Sorbate does not stop a ferment',
        reason: 'Yeast was active. Let it finish, and look for two gravities that agree.'
      }
    case 'acid-too-far':
      return {
        title: 'That is a lot of acid',
        reason: `The pH comes to about ${act.ph.toFixed(2)}. Check the amount. Measure and taste it; blending or a little carbonate `
          + `takes it back.`
      }
    case 'carbonate-too-far':
      return {
        title: 'That takes off too much acid',
        reason: `The pH comes to about ${act.ph.toFixed(2)}, where spoilage thrives. Check the amount, and bring acid back in small steps.`
      }
    case 'twice':
      return {
        title: 'The same amount twice?',
        reason: `${amount(act.amount, act.unit, f)} of ${f.material(act.material)} was logged twice within `
          + `${Math.max(1, act.minutes)} min. Delete one if it went in once.`
      }
    case 'far-from-plan':
      return {
        title: 'Far from the plan',
        reason: `${amount(act.actual, act.unit, f)} of ${f.material(act.material)} went in, and ${amount(act.planned, act.unit, f)} were `
          + `planned. Correct it if it was a slip. If not, measure again before you add more.`
      }
    case 'below-scale':
      return {
        title: 'Too little for your scale',
        reason: `${figure(act.actual)} g of ${f.material(act.material)} on a scale with steps of ${figure(act.stepG)} g can be far `
          + `off. Use a stock solution: 10 g made up to 100 mL.`
      }
    case 'old-package':
      return {
        title: 'From an old package',
        reason: `${f.material(act.material)}${act.days > 0 ? `, open for ${act.days} days,` : ''} may have lost strength. Measure what `
          + `it did, and buy fresh.`
      }
    case 'alcohol-beyond-sugar':
      return {
        title: 'More alcohol than the sugar can make',
        reason: `${act.abv.toFixed(1)} % vol was read, and the sugar gives ${act.most.toFixed(1)} % at most. The first gravity, this `
          + `reading, or an unlogged addition is wrong.`
      }
    case 'acids-disagree':
      return {
        title: 'pH and TA do not belong together',
        reason: `pH ${act.ph.toFixed(2)} with a TA of ${act.taGPerL.toFixed(1)} g/L does not occur in wine. Calibrate the meter, check the `
          + 'titrant and the sample volume, and measure both again.'
      }
    case 'gassy-sample':
      return {
        title: 'Was the sample free of gas?',
        reason: `Carbon dioxide makes TA read too high and pH too low. Shake or warm the sample until it is still, and ${
          act.quantity === 'ta' ? 'titrate' : 'measure'
        } again before you dose by it.`
      }
    case 'pressed-hard':
      return {
        title: 'Pressed hard',
        reason: `${act.litresPerKg.toFixed(2)} L from each kilogram. Wrung skins and crushed seeds make a wine harsh. Keep the last `
          + `press wine apart and taste it.`
      }
    case 'malic-fell':
      return {
        title: 'Malic acid fell by itself',
        reason: `From ${act.from.toFixed(1)} to ${act.to.toFixed(1)} g/L without added bacteria. Malolactic has started on its own: let it `
          + 'finish without sulphite, or block it now.'
      }
  }
}
