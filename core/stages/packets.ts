import { type LotView, type Outcome, partsOfPacket } from '../ledger'
import { SO2_SHARE, type SulphiteSalt } from '../sulphite'
import { hoursSince, packetTask } from './stage'

/** The person said that it does not go in, or that it need not be spoken of again. */
const LEFT_OUT: ReadonlySet<Outcome> = new Set(['not-wanted', 'seen'])

/** Packets that stabilise a kit and are still to go in: not in, and not left out; one put off until tomorrow is still to come. */
export const stabilisersLeft = (lot: Pick<LotView, 'kit' | 'packetsIn' | 'endedTasks'>) =>
  (lot.kit?.packets ?? []).filter((packet, i) => {
    const ended = lot.endedTasks.get(packetTask(i))
    return packet.step === 'stabilise' && !lot.packetsIn.has(packetTask(i)) && !(ended && LEFT_OUT.has(ended.outcome))
  })

/** A kit's own sulphite is waited for so long after its ferment, h. Ours. */
const WAITED_FOR_H = 6 * 7 * 24
const isSalt = (material: string): material is SulphiteSalt => Object.hasOwn(SO2_SHARE, material)

/** SO₂ that a kit is still to bring in a packet, mg/L; none where nobody waits for it any more. */
export function sulphiteToCome(lot: LotView): number {
  if (!(lot.volume.value > 0) || hoursSince(lot.wineSince ?? lot.startedAt, lot.asOf) > WAITED_FOR_H) return 0
  const parts = stabilisersLeft(lot).flatMap((packet) => partsOfPacket(packet, lot.volume.value))
  const grams = parts.reduce((sum, { material, amount }) => sum + (isSalt(material) ? amount * SO2_SHARE[material] : 0), 0)
  return (grams * 1000) / lot.volume.value
}
