import { within } from '../units'

/** kJ set free for each gram of hexose: 23.7 kcal a mole (Williams 1982, AJEV 33:149; from memory), a gram of sucrose a little more. */
export const HEAT_KJ_PER_G = 0.55
/** kJ to warm a litre of must by 1 °C: 3.7 kJ/(kg·K) × 1.08 kg/L (from memory). */
export const MUST_KJ_PER_L_K = 4
/** Ice: heat of melting 334 kJ/kg, of ice 2.1 and of water 4.18 kJ/(kg·K) (CRC Handbook, from memory). */
const ICE = { melting: 334, solid: 2.1, liquid: 4.18, freezerC: -18 } as const
/** W/K from a plain vessel's walls to still air: about 6 W/(m²·K) on six faces of a cube of its volume. Common practice, no source. */
const WALL_W_PER_M2_K = 6

/**
 * What a vessel loses for each degree it is warmer than the room, W/K, where its own readings do not tell yet.
 * @param volumeL 1 to 100 000
 * @example usualLoss(75) // 6.4
 */
export const usualLoss = (volumeL: number): number => WALL_W_PER_M2_K * 6 * (within('volumeL', volumeL, 1, 100_000) / 1000) ** (2 / 3)

export interface HeatAsked {
  volumeL: number
  /** g of sugar taken from a litre in a day, from the forecast. */
  sugarGPerLDay: number
  celsius: number
  /** To be held at or brought to. */
  targetC: number
  roomC: number
  /** Of this vessel, learnt; the usual otherwise. */
  lossWPerK?: number
}
export interface HeatBalance {
  /** Made by the yeast, lost through the walls at the target, W. */
  madeW: number
  lostW: number
  lossWPerK: number
  /** To be taken away (positive) or brought (negative) so that the target holds, W. */
  surplusW: number
  /** Where it settles if nothing is done, °C, at this pace. */
  settlesC: number
  /** Litres of frozen water a day that hold the target; 0 where none is wanted. */
  iceLPerDay: number
  /** Once, to bring it from where it is to the target, L. */
  iceLToBring: number
  /** A mat or belt that holds the target, W; 0 where none is wanted. */
  heaterW: number
}

/** So little too warm, in a room that takes more heat than the yeast makes, goes by itself, °C. Ours. */
const LEAVE_TO_ROOM_C = 3

/** kJ that a litre of frozen water takes up until it is taken out at the must's temperature less a few degrees. */
const perLitreOfIce = (celsius: number): number => -ICE.freezerC * ICE.solid + ICE.melting + ICE.liquid * Math.max(0, celsius - 5)

/**
 * Heat of a ferment against the walls: ice to hold it down or watts to hold it up. Bottles are taken out when their ice has melted and
 * come within about 5 °C of the must.
 * @param asked 1 to 100 000 L, 0 to 150 g/(L·day), −5 to 45 °C, loss 0.01 to 10 000 W/K
 * @throws LimitError
 * @example heatBalance({ volumeL: 75, sugarGPerLDay: 45, celsius: 27, targetC: 20, roomC: 18 }).iceLPerDay // 1.7
 */
export function heatBalance(asked: HeatAsked): HeatBalance {
  const volumeL = within('volumeL', asked.volumeL, 1, 100_000)
  const targetC = within('targetC', asked.targetC, 0, 45)
  const celsius = within('celsius', asked.celsius, -5, 45)
  const roomC = within('roomC', asked.roomC, -5, 45)
  const lossWPerK = within('lossWPerK', asked.lossWPerK ?? usualLoss(volumeL), 0.01, 10_000)
  const madeW = (within('sugarGPerLDay', asked.sugarGPerLDay, 0, 150) * volumeL * HEAT_KJ_PER_G * 1000) / 86_400
  const lostW = lossWPerK * (targetC - roomC)
  const surplusW = madeW - lostW
  const perLitre = perLitreOfIce(targetC)
  const leftToRoom = surplusW < 0 && celsius - targetC < LEAVE_TO_ROOM_C
  return {
    madeW,
    lostW,
    lossWPerK,
    surplusW,
    settlesC: roomC + madeW / lossWPerK,
    iceLPerDay: Math.max(0, (surplusW * 86.4) / perLitre),
    iceLToBring: leftToRoom ? 0 : (Math.max(0, celsius - targetC) * volumeL * MUST_KJ_PER_L_K) / perLitre,
    // What is warmer than it is to be cools by itself before it is warmed.
    heaterW: celsius > targetC ? 0 : Math.max(0, -surplusW)
  }
}

export interface WarmthLook { hours: number, celsius: number }

/** Two looks further apart than this tell little of the walls, h. */
const TELLS_H = 30
/** How much the usual weighs against what is seen: as much as two days at three degrees over the room. */
const PRIOR_SQUARE = 9 * 48

/**
 * What a vessel loses through its walls, learnt from its own temperatures: what the yeast made and the must did not take up went out.
 * The usual stands in as long as little is known; no look moves it by more than tenfold.
 * @param looks temperatures, in order of time
 * @param sugarAt g/L left, at an hour
 * @param roomC of the cellar
 * @returns W/K
 * @throws LimitError
 */
export function learnLoss(looks: readonly WarmthLook[], sugarAt: (hours: number) => number, roomC: number, volumeL: number): number {
  const usual = usualLoss(volumeL)
  let [against, square] = [usual * PRIOR_SQUARE, PRIOR_SQUARE]
  for (let i = 1; i < looks.length; i++) {
    const [a, b] = [looks[i - 1]!, looks[i]!]
    const hours = b.hours - a.hours
    if (hours < 3 || hours > TELLS_H) continue
    const made = Math.max(0, sugarAt(a.hours) - sugarAt(b.hours)) * HEAT_KJ_PER_G * volumeL
    const taken = (b.celsius - a.celsius) * MUST_KJ_PER_L_K * volumeL
    const over = (a.celsius + b.celsius) / 2 - roomC
    // W/K × K × h × 3.6 = kJ.
    against += ((made - taken) / 3.6 / hours) * over * hours
    square += over * over * hours
  }
  return Math.min(usual * 10, Math.max(usual / 10, against / square))
}
