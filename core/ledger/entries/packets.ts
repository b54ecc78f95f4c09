import { cardOf } from '../../materials'
import type { EntryOf, PacketStep } from '../entry'
import type { Folding } from '../fold/folding'
import type { LotState } from '../state'
import { takeAddition } from './addition'

type Packet = NonNullable<EntryOf<'lot-started'>['kit']>['packets'][number]
export interface PacketPart {
  material: string
  /** g, or mL of a liquid. */
  amount: number
  /** Nobody said so: it is what such a packet usually holds. */
  usual: boolean
}

/** What is named on a packet, as people write it. */
const NAMED: readonly [RegExp, string][] = [
  [/sorbat/i, 'potassium-sorbate'],
  [/sulphit|sulfit|metabi|k-?meta/i, 'potassium-metabisulphite'],
  [/bentonit/i, 'bentonite'],
  [/chitosan/i, 'chitosan'],
  [/kieselsol|silica/i, 'silica-sol'],
  [/gelatin/i, 'gelatin'],
  [/isinglass/i, 'isinglass'],
  [/nutrient|energi[sz]er/i, 'complex-nutrient']
]
/** What a packet of a step usually holds where its name does not tell: common practice, no source. */
const USUAL: Partial<Record<PacketStep, readonly string[]>> = {
  'before-yeast': ['bentonite'],
  'stabilise': ['potassium-metabisulphite', 'potassium-sorbate'],
  'clear': ['chitosan']
}
/** How much of it, for a litre of kit wine: common practice, no source. Sulphite brings some 45 mg/L. */
const PER_L: Record<string, number> = {
  'potassium-sorbate': 0.2,
  'potassium-metabisulphite': 0.08,
  'bentonite': 0.6,
  'chitosan': 0.05,
  'silica-sol': 0.5,
  'gelatin': 0.05,
  'isinglass': 0.02,
  'complex-nutrient': 0.2
}

/** What kits are known to bring in their packets, by key of its card. */
export const PACKET_MATERIALS: readonly string[] = [...new Set(NAMED.map(([, material]) => material))]

/**
 * What a packet holds: what was said of it, what is named on it, or what such a packet usually holds.
 * @param litres of the kit when it is made up
 */
export function partsOfPacket(packet: Packet, litres: number): PacketPart[] {
  const amountOf = (material: string) => (PER_L[material] ?? 0.1) * litres
  if (packet.holds) return packet.holds.map(({ material, amount }) => ({ material, amount: amount ?? amountOf(material), usual: false }))
  const named = NAMED.flatMap(([pattern, material]) => (pattern.test(packet.name) ? [material] : []))
  return (named.length > 0 ? named : (USUAL[packet.step] ?? [])).map((material) => ({ material, amount: amountOf(material), usual: true }))
}

/** A packet that went in brought what it holds: it counts as any other addition does. */
export function packetWentIn(folding: Folding, lot: LotState, task: string, by: { id: string, at: string }): void {
  const index = /^packet:(\d+)$/.exec(task)?.[1]
  const packet = index === undefined ? undefined : lot.kit?.packets[Number(index)]
  if (!packet || lot.packetsIn.has(task) || !(lot.volume.value > 0)) return
  lot.packetsIn = new Set([...lot.packetsIn, task])
  for (const { material, amount } of partsOfPacket(packet, lot.volume.value)) {
    const card = cardOf(material, folding.cellar.cards)
    const so2Share = card?.effect.on === 'sulphite' ? card.effect.so2Share : undefined
    const unit = card?.unit === 'mL' ? 'mL' : 'g'
    takeAddition(lot, { ...by, material, unit, actual: amount, ...(so2Share !== undefined && { so2Share }) }, card)
  }
}
