import { addition, fact } from '../../core/drafts'
import type { Draft, Fact } from '../../core/ledger'
import { type Scenario, lotId } from './scenarios'

const SIZES = [54, 34, 25, 23, 20, 15, 10, 10, 5, 5, 5, 3, 2, 1, 1]
const EMPTY_BIN = 'vessel-bin-0'
const SECOND_BIN = 'vessel-bin-1'

/** What stands in the ledger on the first day: vessels, instruments, and the lot in its bin. */
export function openingOf(scenario: Scenario): Draft<Fact>[] {
  const lacks = (what: NonNullable<Scenario['lacks']>[number]) => scenario.lacks?.includes(what) ?? false
  const { stream, colour, litres, syrup, plan } = scenario
  const vessel = (vesselId: string, name: string, kind: 'bin' | 'demijohn', capacityL: number) =>
    fact('vessel-added', { vesselId, name, kind, capacityL })
  const fruit = stream === 'fresh' && { massKg: litres / (colour === 'red' ? 0.68 : 0.6) }
  const kit = stream === 'kit' && {
    kit: {
      targetSg: 1.085,
      packets: [
        { name: 'Bentonite', step: 'before-yeast' as const },
        { name: 'Sulphite and sorbate', step: 'stabilise' as const },
        { name: 'Chitosan', step: 'clear' as const }
      ]
    }
  }
  const sizes = lacks('vessels') ? SIZES.slice(0, 6) : [...SIZES, ...SIZES, ...(litres > 120 ? [54, 54, 54, 54] : [])]
  const owned = { 'ph-meter': !lacks('ph-meter'), 'acid-kit': !lacks('acid-kit'), 'so2-kit': !lacks('so2-kit') }
  return [
    vessel(EMPTY_BIN, 'Bin', 'bin', Math.ceil(litres * (colour === 'red' ? 1.6 : 1.45))),
    vessel(SECOND_BIN, 'Second bin', 'bin', Math.ceil(litres * 1.45)),
    ...sizes.map((size, i) => vessel(`vessel-glass-${i}`, `Glass ${i}`, 'demijohn', size)),
    fact('equipment-said', { has: owned }),
    fact('lot-started', {
      lotId, name: scenario.name.slice(0, 60), stream, style: colour, varieties: [], volumeL: litres * (syrup ?? 1),
      volumeIs: 'measured', vesselId: EMPTY_BIN, ...fruit, ...kit
    }),
    // A syrup cannot be measured: most of its water goes in at once.
    ...(syrup ? [addition({ lotId, material: 'water', actual: litres * (1 - syrup), stage: { number: 1, of: 2 } })] : []),
    ...(plan ? [fact('lot-planned', { lotId, ...plan })] : [])
  ]
}
