/**
 * Two mechanistic forms of a wine ferment from the literature, written down independently of the forecast: what it is tried on.
 * No book was at hand: forms and constants are from memory, and strains differ by the factors given to each ferment.
 */

/** What differs from strain to strain and must to must; 1 is the form's own constant. */
export interface Strain {
  growth: number
  uptake: number
  death: number
  cells: number
  affinity: number
  inoculum: number
  toleranceAbv: number
}
export interface MustOfForm {
  sugarGPerL: number
  nitrogenGPerL: number
}
/** Nitrogen given on the way, g N/L at an hour. */
export interface Feed {
  hours: number
  gPerL: number
}
export interface Form {
  start(must: MustOfForm, strain: Strain): number[]
  /** Rates per hour at a temperature; the state's last number is sugar, g/L, the one before it ethanol, g/L. */
  rates(state: readonly number[], celsius: number, must: MustOfForm, strain: Strain): number[]
  /** Which number of the state nitrogen is fed to. */
  nitrogenAt: number
}

/** Cold below a yeast's range takes its work to a crawl; laid over both forms, which were made for 11 to 35 °C. */
export const cold = (celsius: number) => 1 / (1 + Math.exp((9.2 - celsius) / 0.45))
/** Heat kills, from about 35 °C on: a tenth lives after some hours at 38 (common practice, no source), 1/h. */
export const heatDeath = (celsius: number) => 0.9 / (1 + Math.exp((39.5 - celsius) / 0.8))
/** What a strain bears: its death climbs steeply beyond. */
export const beyond = (ethanolGPerL: number, toleranceAbv: number) => 0.09 / (1 + Math.exp((toleranceAbv - ethanolGPerL / 7.894) / 0.3))

/**
 * Nitrogen-limited growth with death by ethanol: Coleman, Fish and Block, Appl. Environ. Microbiol. 73 (2007) 5875. State: cells,
 * living cells, nitrogen, ethanol, sugar, g/L. Constants as exponentials of temperature.
 */
export const nitrogenLimited: Form = {
  nitrogenAt: 2,
  start: ({ sugarGPerL, nitrogenGPerL }, s) => [0.2 * s.inoculum, 0.16 * s.inoculum, nitrogenGPerL, 0, sugarGPerL],
  rates([, living, nitrogen, ethanol, sugar], celsius, _must, s) {
    const T = Math.min(36, celsius)
    const n = Math.max(0, nitrogen!)
    const growth = Math.exp(-3.92 + 0.0782 * T) * s.growth * (n / (0.01 + n)) * living! * cold(celsius)
    const yieldXN = Math.exp(3.5 - 0.0361 * T) * s.cells
    const left = Math.max(0, sugar!)
    const make = Math.exp(-2.77 + 0.0698 * T) * s.uptake * (left / (10.3 * s.affinity + left)) * living! * cold(celsius)
    const death =
      Math.exp(-9.81 - 0.108 * T + 0.00478 * T * T) * s.death * ethanol! * living! +
      (heatDeath(celsius) + beyond(ethanol!, s.toleranceAbv)) * living!
    return [growth, growth - death, -growth / yieldXN, make, -make / 0.47]
  }
}

/**
 * Cells limited by the must's nitrogen, and transport of sugar that ethanol inhibits and that lack of nitrogen lets decay: after Malherbe,
 * Fromion, Hilgert and Sablayrolles, Biotechnol. Bioeng. 86 (2004) 261. State: cells (10⁹/L), transporters that work (share), nitrogen,
 * ethanol, sugar, g/L.
 */
export const ethanolInhibited: Form = {
  nitrogenAt: 2,
  start: ({ sugarGPerL, nitrogenGPerL }, s) => [3.2 * s.inoculum, 1, nitrogenGPerL, 0, sugarGPerL],
  rates([cells, working, nitrogen, ethanol, sugar], celsius, must, s) {
    const N = Math.min(0.42, must.nitrogenGPerL + 0.02)
    const most = (-149.2 * N * N + 241.4 * N + 20.9) * s.cells
    const arrhenius = (kJ: number) => Math.exp((kJ / 0.008314) * (1 / 293.15 - 1 / (Math.min(36, celsius) + 273.15)))
    const growth = 0.17 * s.growth * arrhenius(65) * cells! * Math.max(0, 1 - cells! / most) * cold(celsius)
    const left = Math.max(0, sugar!)
    const E = Math.max(0, ethanol!)
    const transport = 0.034 * s.uptake * arrhenius(56) * (left / (left + 5 * s.affinity + 0.0105 * left * E ** 0.95))
    const fed = Math.max(0, nitrogen!) / (0.02 + Math.max(0, nitrogen!))
    const decay =
      ((0.0045 * arrhenius(80) * s.death * (1 - 0.8 * fed) * E) / 60 + heatDeath(celsius) + beyond(E, s.toleranceAbv)) * working!
    const renew = 0.02 * fed * (1 - working!)
    const burnt = transport * cells! * working! * cold(celsius)
    return [growth, renew - decay, -growth * 0.0035 - 0.0006 * burnt * fed, burnt * 0.47, -burnt]
  }
}
