import { type Form, beyond, cold, heatDeath } from './forms.fixture'

/**
 * Four more forms of a ferment, of other kinds than the two of the literature's own wine models: no one small course follows them all.
 * Written from memory of the kinds of model named; what differs between strains is spread by the factors given to each ferment.
 */
const arrhenius = (kJ: number, celsius: number) => Math.exp((kJ / 0.008314) * (1 / 293.15 - 1 / (Math.min(36, celsius) + 273.15)))
const kills = (celsius: number, ethanol: number, toleranceAbv: number) => heatDeath(celsius) + beyond(ethanol, toleranceAbv)
/** More nitrogen, faster: mild, where the form has no nitrogen of its own. */
const byNitrogen = (gPerL: number, power: number) => (Math.min(0.4, Math.max(0.05, gPerL)) / 0.2) ** power

/**
 * Growth and uptake by sugar, both held back by alcohol in a straight line; cells die only once alcohol has passed a threshold (the kind of
 * Boulton 1980, with a delayed death). No nitrogen in it. State: living cells, ethanol, sugar, g/L.
 */
export const delayedDeath: Form = {
  start: ({ sugarGPerL }, s) => [0.09 * s.inoculum, 0, 0, sugarGPerL],
  rates([living, fed, ethanol, sugar], celsius, must, s) {
    const left = Math.max(0, sugar!)
    const room = Math.max(0, 1 - ethanol! / (s.toleranceAbv * 7.894 * 1.25))
    const most = 4.6 * s.cells * byNitrogen(must.nitrogenGPerL + fed!, 0.3)
    const growth = 0.16 * s.growth * arrhenius(55, celsius) * (left / (left + 20)) * room * Math.max(0, 1 - living! / most)
    const make = 0.3 * s.uptake * arrhenius(50, celsius) * (left / (left + 14 * s.affinity)) * room ** 0.6 * living! * cold(celsius)
    const late = 1 / (1 + Math.exp((62 - ethanol!) / 7))
    const death = 0.0062 * s.death * arrhenius(75, celsius) * late * (ethanol! / 100) + kills(celsius, ethanol!, s.toleranceAbv)
    return [(growth * cold(celsius) - death) * living!, 0, make * 0.468, -make]
  },
  nitrogenAt: 1
}

/** State of an empirical form: share of sugar gone at the start of its sigmoid, what still works, nitrogen fed, ethanol, sugar. */
const begins = (share: number): Form['start'] => ({ sugarGPerL }) => [sugarGPerL, 1, 0, sugarGPerL * share * 0.47, sugarGPerL * (1 - share)]

/** One sigmoid in time that warmth stretches: what is gone of the whole sets how fast the rest goes. */
const sigmoid = (
  share: number, at20: number, kJ: number, shape: (gone: number, s: Parameters<Form['rates']>[3]) => number
): Form => ({
  nitrogenAt: 2,
  start: (must, s) => begins(Math.min(0.05, share * s.inoculum))(must, s),
  rates([whole, works, fed, ethanol, sugar], celsius, must, s) {
    const gone = Math.min(1, Math.max(1e-4, 1 - sugar! / whole!))
    const pace = at20 * s.growth * s.uptake * byNitrogen(must.nitrogenGPerL + 0.7 * fed!, 0.35) * arrhenius(kJ, celsius) * cold(celsius)
    const burnt = whole! * pace * shape(gone, s) * works!
    return [0, -kills(celsius, ethanol!, s.toleranceAbv) * works!, 0, burnt * 0.472, -burnt]
  }
})

/** Richards' curve: where it bends differs from ferment to ferment. */
export const richards: Form = sigmoid(0.006, 0.052, 52, (gone, s) => {
  const bend = 0.9 * s.affinity ** 2
  return (gone * (1 - gone ** bend)) / Math.min(1, bend)
})

/** Gompertz' curve: fast early, and a long tail. */
export const gompertz: Form = sigmoid(0.004, 0.034, 58, (gone, s) => (gone * -Math.log(gone)) * (1 - 0.35 * Math.min(1, s.death) * gone ** 3))

/**
 * A rate in pieces: a lag, a climb, a plateau up to half or two thirds, and a fall by a power of what is left; a feed lifts it for two days.
 * State: hours of warmth since it was pitched, what works, feed that still lifts, ethanol, sugar.
 */
export const pieces: Form = {
  nitrogenAt: 2,
  start: ({ sugarGPerL }) => [0, 1, 0, 0, sugarGPerL],
  rates([warmHours, works, fed, ethanol, sugar], celsius, must, s) {
    const pace = arrhenius(50, celsius) * cold(celsius)
    const lag = 20 / (s.inoculum * s.growth)
    const climb = Math.min(1, Math.max(0, (warmHours! - lag) / (30 / s.growth)))
    const whole = must.sugarGPerL
    const bends = whole * Math.min(0.75, 0.42 * s.affinity)
    const left = Math.max(0, sugar!)
    const falls = left > bends ? 1 : (left / bends) ** Math.min(1.3, 0.85 * s.death ** 0.3)
    const top = 1.75 * s.uptake * byNitrogen(must.nitrogenGPerL, 0.5) * (1 + 4 * Math.min(0.08, Math.max(0, fed!)))
    const burnt = left > 0.01 ? top * pace * climb * falls * works! : 0
    return [pace, -kills(celsius, ethanol!, s.toleranceAbv) * works!, -fed! / 60, burnt * 0.47, -burnt]
  }
}
