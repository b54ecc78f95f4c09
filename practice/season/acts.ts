import { DAY_MS } from '../../core/units'
import { type EntryOf, type History, type LotState, partsOfPacket } from '../../core/ledger'
import { SORBIC_SHARE } from '../../core/finishing'
import { cardOf } from '../../core/materials'
import { DO, type Wine, addSulphite } from '../../simulator'

/** A lot of the season as it truly is: its wine, how it is kept, and what was filled of it. */
export interface Kept {
  wine: Wine
  /** Held at a temperature by hand until an hour of the season. */
  held?: { at: number, until: number }
  /** Litres that ran over, of which the ledger knows nothing. */
  spilledL: number
  /** The most there ever was of it, L. */
  mostL: number
  bottles: Bottles[]
}
/** Wine in bottles goes on by itself. */
export interface Bottles {
  entryId: string
  wine: Wine
  count: number
  litres: number
  /** Fermented since it was closed, g/L; what its glass takes. */
  fermented: number
  bearsGPerL: number
  burst?: string
}

const HEXOSE_PER_SUCROSE = 1.0526
/** Days that a heater, or frozen bottles, are kept at it before somebody has to say it again. */
const WARM_DAYS = 14
const COOL_DAYS = 3
/** A second ferment of this much sugar breaks glass for still wine, and sparkling glass, g/L. About 4 g/L a bar; from memory. */
export const BEARS_G_PER_L = { still: 11, sparkling: 40 } as const

type Added = Pick<EntryOf<'addition'>, 'material' | 'actual' | 'so2Share'>

/** What an addition does to the wine, by its card. */
export function add(w: Wine, { material, actual, so2Share }: Added, history: History): void {
  const card = cardOf(material, history.cellar.cards)
  if (!card || actual <= 0) return
  const perL = actual / w.litres
  const { effect } = card
  if (effect.on === 'volume') DO.water(w, actual)
  else if (effect.on === 'sulphite') addSulphite(w, perL * (so2Share ?? effect.so2Share) * 1000)
  else if (effect.on === 'nitrogen') DO.feed(w, perL * effect.mgPerG)
  else if (effect.on === 'sugar') {
    DO.sugar(w, actual * effect.sugarShare * HEXOSE_PER_SUCROSE)
    w.acids.tartaric += perL * (effect.acidShare ?? 0)
  }
  else if (effect.on === 'acids') {
    if ('salt' in effect) neutralise(w, effect.salt, perL)
    else {
      const grams = perL * (effect.gPerMl ?? 1)
      // Citric acid is not in the simulator's balance: it counts as the tartaric acid that carries as much charge.
      if (effect.acid === 'citric') w.acids.tartaric += grams * 1.02
      else w.acids[effect.acid] += grams
    }
  }
  else if (card.key === 'potassium-sorbate') DO.sorbate(w, perL * SORBIC_SHARE * 1000)
  else if (card.key === 'bentonite') DO.bentonite(w, perL)
  else if (card.kind === 'fining') DO.bentonite(w, Math.min(0.4, perL))
}

/**
 * What was done by saying so: a packet of a kit that went in, gas that was stirred out.
 * @param before the lot as the ledger had it, @param after as it has it now
 */
export function ended(w: Wine, { task, outcome }: EntryOf<'task-ended'>, before: LotState, after: LotState, history: History): void {
  if (task.startsWith('degas') && (outcome === 'done' || outcome === 'otherwise')) DO.degas(w)
  if (before.packetsIn.has(task) || !after.packetsIn.has(task)) return
  const packet = after.kit?.packets[Number(task.split(':')[1])]
  for (const { material, amount } of packet ? partsOfPacket(packet, before.volume.value) : []) add(w, { material, actual: amount }, history)
}

/** Moles of potassium that a gram brings, and the acid that chalk carries off, g. From the molar masses. */
function neutralise(w: Wine, salt: string, perL: number): void {
  if (salt === 'potassium-bicarbonate') DO.carbonate(w, perL)
  else if (salt === 'potassium-carbonate') w.acids.potassium += (perL * 2) / 138.205
  else w.acids.tartaric = Math.max(0.3, w.acids.tartaric - perL * 1.4995)
}

export function inoculate(w: Wine, { organism, grams, starterC }: EntryOf<'inoculation'>): void {
  if (organism === 'bacteria') DO.bacteria(w)
  // Too hot, or far warmer than the must, and most of it is dead before it begins.
  else DO.pitch(w, (grams ?? w.litres * 0.25) / w.litres, w.celsius > 37 || (starterC !== undefined && Math.abs(starterC - w.celsius) > 12))
}

/** @param hour of the season, @param room °C */
export function work(kept: Kept, { what, sterile }: EntryOf<'operation'>, hour: number, room: number): void {
  const { wine } = kept
  switch (what) {
    case 'warm':
      kept.held = { at: Math.max(21, room), until: hour + WARM_DAYS * 24 }
      return
    case 'cool':
      kept.held = { at: Math.max(13, Math.min(22, wine.celsius - 6)), until: hour + COOL_DAYS * 24 }
      return
    case 'degas':
      return void DO.degas(wine)
    case 'chill':
      return DO.chill(wine)
    case 'pasteurise':
      for (const b of kept.bottles) DO.pasteurise(b.wine)
      return DO.pasteurise(wine)
    case 'punch-down':
    case 'pump-over':
    case 'stir':
      // A little air is good for what ferments, and for nothing else.
      return void (wine.sugar > 20 ? (wine.yeast *= 1.004) : (wine.oxidised += 0.05))
    case 'filter':
      wine.haze = Math.min(wine.haze, 1)
      if (sterile) wine.yeast = wine.bacteria = 0
      return
    case 'settle':
      wine.haze = Math.min(wine.haze, 300)
      return
    default:
  }
}

/** A racking or a pressing does to a part of a wine what it would do to all of it. */
export function partly(w: Wine, share: number, deed: (w: Wine) => void): void {
  const done = copyOf(w)
  deed(done)
  const part = Math.min(1, Math.max(0, share))
  mixInto(w, done, part, { litres: false })
  if (part > 0.5) {
    w.skins = done.skins
    w.leesHours = done.leesHours
  }
}

/** What is dissolved mixes by volume. @param share of the other in the whole */
export function mixInto(w: Wine, other: Wine, share: number, { litres }: { litres: boolean }): void {
  const [a, b] = [w as unknown as Record<string, unknown>, other as unknown as Record<string, unknown>]
  for (const key of Object.keys(a)) {
    const [x, y] = [a[key], b[key]]
    if (['seed', 'hours', 'leesHours', 'bacteriaHours', ...(litres ? [] : ['litres'])].includes(key)) continue
    if (typeof x === 'number' && typeof y === 'number') a[key] = x * (1 - share) + y * share
  }
  for (const key of Object.keys(w.acids) as (keyof Wine['acids'])[])
    w.acids[key] = w.acids[key] * (1 - share) + other.acids[key] * share
  w.hottest = Math.max(w.hottest, other.hottest)
}
export const copyOf = (w: Wine): Wine => ({ ...w, acids: { ...w.acids }, nature: { ...w.nature } })

/** Bottles of a lot, closed. */
export function fill(kept: Kept, { id, bottles }: EntryOf<'bottling'>): void {
  const sparkling = bottles.some((b) => b.material?.startsWith('sparkling'))
  kept.bottles.push({
    entryId: id,
    wine: copyOf(kept.wine),
    count: bottles.reduce((sum, b) => sum + b.count, 0),
    litres: bottles.reduce((sum, b) => sum + (b.count * b.sizeMl) / 1000, 0),
    fermented: 0,
    bearsGPerL: sparkling ? BEARS_G_PER_L.sparkling : BEARS_G_PER_L.still
  })
}

/** Litres of air over the wine, through all its vessels; under a cap of gas little of it counts for ten days. */
export function airOver(lot: LotState, history: History, now: string, spilledL: number): number {
  let air = spilledL
  for (const [id, litres] of lot.contents) {
    const capacity = history.cellar.vessels.get(id)?.capacityL ?? litres
    const { marblesL = 0, gasAt } = lot.overWine.get(id) ?? {}
    const open = Math.max(0, capacity - litres - marblesL)
    const covered = gasAt !== undefined && Date.parse(now) - Date.parse(gasAt) < 10 * DAY_MS
    air += open * (covered ? 0.15 : 1)
  }
  return air
}
