import { addition, fact, inoculation } from '../drafts'
import { targetBand } from '../fermentation'
import { brixFromSg, potentialAlcohol } from '../hydrometry'
import { type CellarState, type Style, isMust } from '../ledger'
import { cardsOf } from '../materials'
import { type CrushStep, crushSteps } from '../stages'
import { withinLimits } from '../units'
import {
  ASSUMED_YAN,
  type Need,
  type NutrientPlan,
  PITCH,
  type PitchPlan,
  type StarterPlan,
  YEASTS,
  type YeastChoice,
  chooseYeast,
  nutrientPlan,
  nutrientsLeft,
  pitchPlan,
  starterPlan,
  yeastOf
} from '../yeast'
import { type Bench, type BenchContext, type BenchValues, known, usual } from './bench'
import { type YeastRun, yeastRunOf } from './yeast-run'

/** Yeast that falls short by less than a tenth is enough: our own, packets and rates are rounder than that. */
const ENOUGH_SHARE = 0.9
/** To which the relations reach: % vol of a must, and g of yeast that a starter is made from. */
const POTENTIAL = { min: 5, max: 20 } as const
const STARTER_G = { min: 0.5, max: 500 } as const
/** What a must may hold that nobody measured, mg N/L: musts 80 to 300, common practice, no source. */
const UNKNOWN_YAN = [80, 300] as const
/** Less must than this is reckoned as this, L: the least of `pitchPlan`. */
const LEAST_L = 0.5

export type YeastNumber = 'sg' | 'volume' | 'must' | 'warmest' | 'yan' | 'have' | 'slurry' | 'actual'
export interface YeastChoices {
  style: Style
  malolacticWanted: boolean
  /** Key of its card; nothing while the best of them is taken. */
  kind: string
  /** What stands on the packet. */
  ownName: string
  withNutrient: boolean
}
export interface YeastAnswer {
  /** % vol to come. */
  potential?: number | undefined
  /** The person's own yeasts and the built-in kinds, best first. */
  kinds: YeastChoice[]
  kind?: YeastChoice | undefined
  /** As it is written down. */
  culture: string
  pitch?: PitchPlan | undefined
  /** To weigh, g. */
  yeastG?: number | undefined
  need: Need
  /** What was given so far, mg N/L. */
  givenMgPerL: number
  nutrient?: NutrientPlan | undefined
  /** All lots that wait for yeast share a starter. */
  waiting: { name: string, volumeL: number }[]
  neededG: number
  /** In the store, and in all, g. */
  store?: number | undefined
  there?: number | undefined
  starter?: StarterPlan | undefined
  run?: YeastRun | undefined
  /** Between yeast and must, °C. */
  gapC?: number | undefined
  /** Pitching as a step of crush day, and what that still asks for before it. */
  step?: CrushStep | undefined
  before: CrushStep[]
}
type Values = BenchValues<YeastNumber, YeastChoices>

const bandOf = ({ must, warmest, style }: Values) => {
  const band = targetBand(style)
  return warmest === undefined || must === undefined ? band : { min: Math.min(must, warmest), max: warmest }
}
const ownYeasts = ({ cards }: CellarState) => cardsOf(['yeast'], cards).filter((card) => cards.has(card.key)).map(yeastOf)

function kindsFor(values: Values, potential: number | undefined, cellar: CellarState): YeastChoice[] {
  if (potential === undefined) return []
  const { style, malolacticWanted, yan } = values
  const wish = {
    style,
    potentialAbv: Math.min(POTENTIAL.max, Math.max(POTENTIAL.min, potential)),
    temperatureC: bandOf(values),
    malolacticWanted,
    ...(yan !== undefined && !Number.isNaN(yan) && { yanMgPerL: yan })
  }
  return withinLimits(() => chooseYeast(wish, [...ownYeasts(cellar), ...YEASTS])) ?? []
}

/** What is there already: measured or assumed, and what was given since. */
function nutrientFor({ volume, yan }: Values, brix: number | undefined, need: Need, { lot }: BenchContext): NutrientPlan | undefined {
  if (volume === undefined || brix === undefined || Number.isNaN(yan)) return undefined
  const given = lot?.nitrogenGiven?.value ?? 0
  const present = yan === undefined && given === 0 ? undefined : (yan ?? ASSUMED_YAN) + given
  const left = nutrientsLeft(Object.fromEntries([...(lot?.added ?? [])].map(([key, { actual }]) => [key, actual / volume])))
  return withinLimits(() => nutrientPlan(volume, brix, need, present, left))
}

/** All musts that wait for yeast share what there is; a lot that has its yeast, or no lot, needs it for itself. */
function waitingFor({ lot, cellar }: BenchContext, volume: number | undefined): YeastAnswer['waiting'] {
  const others = lot && isMust(lot) ? [...cellar.lots.values()].filter((l) => isMust(l) && l.stream !== 'kit' && l.stream !== 'test') : []
  const all = others.map((l) => ({ name: l.name, volumeL: l.id === lot?.id ? (volume ?? l.volume.value) : l.volume.value }))
  return all.length > 0 ? all : volume === undefined ? [] : [{ name: lot?.name ?? '', volumeL: volume }]
}

/** From packet to must: which yeast, how much, its nutrient, and the rehydration as a run. */
export const yeast: Bench<YeastNumber, YeastChoices, YeastAnswer> = {
  choices: ({ lot }) => ({
    style: lot?.style ?? 'red',
    malolacticWanted: !lot || !['none', 'blocked'].includes(lot.plan.malolactic),
    kind: '',
    ownName: '',
    withNutrient: lot?.stream !== 'kit'
  }),
  fill({ lot, now }, { style }) {
    const band = targetBand(style)
    const run = yeastRunOf(lot, Date.parse(now))
    return {
      sg: known(lot?.originalSg ?? lot?.sg),
      volume: known(lot?.volume),
      // A run that is taken up again goes on with the temperature it was begun at.
      must: run ? { value: run.mustC, origin: 'measured' } : known(lot?.temperature) ?? usual(band.min),
      warmest: usual(band.max),
      yan: known(lot?.others.yan)
    }
  },
  answer(values, context) {
    const { sg, volume, must, slurry, have, kind: chosen, ownName } = values
    const { lot, cellar, now, cameFor } = context
    const brix = sg === undefined ? undefined : withinLimits(() => Math.max(0, brixFromSg(sg)))
    const potential = brix === undefined ? undefined : withinLimits(() => potentialAlcohol(brix).abv)
    const kinds = kindsFor(values, potential, cellar)
    const kind = kinds.find((k) => k.card.key === chosen) ?? kinds[0]
    const need = kind?.card.nitrogenNeed ?? 'medium'
    const pitch = volume === undefined || must === undefined ? undefined : withinLimits(() => pitchPlan(volume, must))
    const waiting = waitingFor(context, volume)
    const neededG = waiting.reduce((sum, l) => sum + l.volumeL * PITCH.gPerL, 0)
    const store = cellar.stock.get('yeast')?.packages.reduce((sum, p) => sum + p.left, 0)
    const there = have ?? store
    const short = there !== undefined && there >= STARTER_G.min && there < neededG * ENOUGH_SHARE
    const again = cameFor === 'again'
    const steps = lot && !again ? crushSteps(lot, now) : []
    return {
      potential,
      kinds,
      kind,
      culture: ownName.trim() || kind?.card.name || 'Yeast',
      pitch,
      yeastG: pitch && Number(pitch.yeastG.toPrecision(3)),
      need,
      givenMgPerL: lot?.nitrogenGiven?.value ?? 0,
      nutrient: nutrientFor(values, brix, need, context),
      waiting,
      neededG,
      store,
      there: Number.isNaN(there) ? undefined : there,
      starter: short
        ? withinLimits(() => starterPlan(Math.min(STARTER_G.max, there), waiting.map((l) => Math.max(LEAST_L, l.volumeL))))
        : undefined,
      run: yeastRunOf(lot, Date.parse(now)),
      gapC: slurry === undefined || must === undefined || Number.isNaN(slurry) ? undefined : Math.abs(slurry - must),
      step: steps.find((s) => s.code === 'pitch'),
      before: steps.filter((s) => s.code !== 'pitch' && !s.optional && !['done', 'left-out', 'running'].includes(s.status))
    }
  },
  figure: ({ nutrient }) => nutrient?.additions.reduce((sum, a) => sum + a.grams, 0),
  unknown: ({ yan }) => (yan === undefined ? { yan: UNKNOWN_YAN } : {}),
  drafts(values, answer, { lot, cellar }, act) {
    const { must, withNutrient, ownName, actual } = values
    const { pitch, yeastG, run, kind, culture } = answer
    const lotId = lot.id
    if (act === 'begin') {
      if (!pitch || yeastG === undefined || must === undefined) return { refused: 'no-plan' }
      const nutrientG = Number(pitch.rehydrationNutrientG.toPrecision(3))
      const inTheWater = { planned: nutrientG, actual: nutrientG, purpose: 'in the yeast’s water' }
      return [
        fact('operation', { lotId, what: 'rehydrate', plan: { yeastG, mustC: must } }),
        ...(withNutrient ? [addition({ lotId, material: 'rehydration-nutrient', ...inTheWater })] : [])
      ]
    }
    // A kit's packet has its own weight, and its own name.
    if (lot.stream === 'kit') return [inoculation({ lotId, organism: 'yeast', culture: ownName.trim() || 'Yeast of the kit' })]
    const grams = actual ?? run?.yeastG ?? yeastG
    if (grams === undefined) return { refused: 'no-plan' }
    const mine = kind && cellar.cards.has(kind.card.key) && !ownName.trim() ? kind.card.key : undefined
    return [inoculation({ lotId, organism: 'yeast', culture, cardKey: mine, grams })]
  }
}
