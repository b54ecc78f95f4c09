import { addition, fact } from '../../core/drafts'
import type { Draft, Fact } from '../../core/ledger'
import { type Scenario, lotIdOf } from './scenarios'

const SIZES = [54, 34, 25, 23, 20, 15, 10, 10, 5, 5, 5, 3, 2, 1, 1]
export const REFRACTOMETER = 'instrument-refractometer'
export const BARREL = 'vessel-barrel'

/**
 * What stands in the ledger on the first day: vessels, instruments, and the lot in its bin.
 * @param n which lot of the household it is; what is shared comes with the first
 */
export function openingOf(scenario: Scenario, n = 0, glass?: readonly number[]): Draft<Fact>[] {
  const lotId = lotIdOf(n)
  const [emptyBin, secondBin] = [`vessel-bin-${2 * n}`, `vessel-bin-${2 * n + 1}`]
  const lacks = (what: NonNullable<Scenario['lacks']>[number]) => scenario.lacks?.includes(what) ?? false
  const { stream, colour, litres, syrup, plan } = scenario
  const vessel = (vesselId: string, name: string, kind: 'bin' | 'demijohn' | 'barrel', capacityL: number) =>
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
  const plenty = lacks('vessels') ? SIZES.slice(0, 6) : [...SIZES, ...SIZES, ...(litres > 120 ? [54, 54, 54, 54] : [])]
  const owned = { scale: !lacks('scale'), 'ph-meter': !lacks('ph-meter'), 'acid-kit': !lacks('acid-kit'), 'so2-kit': !lacks('so2-kit') }
  const shared = n > 0 ? [] : [
    ...(glass ?? plenty).map((size, i) => vessel(`vessel-glass-${i}`, `Glass ${i}`, 'demijohn', size)),
    fact('equipment-said', { has: owned })
  ]
  const refractometer = scenario.refractometerOff === undefined
    ? []
    : [fact('instrument-added', { instrumentId: REFRACTOMETER, name: 'Refractometer', kind: 'refractometer' })]
  return [
    vessel(emptyBin, 'Bin', 'bin', Math.ceil(litres * (colour === 'red' ? 1.6 : 1.45))),
    vessel(secondBin, 'Second bin', 'bin', Math.ceil(litres * 1.45)),
    ...shared,
    ...(scenario.barrelL === undefined ? [] : [vessel(BARREL, 'Barrel', 'barrel', scenario.barrelL)]),
    ...refractometer,
    fact('lot-started', {
      lotId, name: scenario.name.slice(0, 60), stream, style: colour, varieties: [], volumeL: litres * (syrup ?? 1),
      volumeIs: 'measured', vesselId: emptyBin, ...fruit, ...kit
    }),
    // A syrup cannot be measured: most of its water goes in at once.
    ...(syrup ? [addition({ lotId, material: 'water', actual: litres * (1 - syrup), stage: { number: 1, of: 2 } })] : []),
    ...(plan ? [fact('lot-planned', { lotId, ...plan })] : [])
  ]
}
