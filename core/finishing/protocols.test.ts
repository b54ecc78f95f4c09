import { describe, expect, it } from 'vitest'
import { PROTOCOL, PROTOCOLS, type Protocol, acidTrial, fallenByNtu, protocolHours, stepAt, testVerdict } from '.'

describe('heat and cold tests on their clock', () => {
  it.each<[Protocol, number, string | undefined, number]>([
    ['heat-2h', 0, 'bath', 2],
    ['heat-2h', 2, 'cool', 3],
    ['heat-2h', 4.9, 'cool', 0.1],
    ['heat-2h', 5, undefined, 0],
    ['heat-6h', 6.5, 'fridge', 15.5],
    ['cold-3d', 71, 'cold', 1],
    ['cold-frozen', 12, 'thaw', 6],
    ['cold-frozen', 900, undefined, 0]
  ])('%s after %d h: %s', (protocol, hours, step, leftH) => {
    const stands = stepAt(protocol, hours)
    expect(stands.step?.code).toBe(step)
    expect(stands.leftH).toBeCloseTo(leftH, 9)
  })
  it('the stricter rule takes no less time, and goes no less far from a cellar, than the usual one', () => {
    const far = (p: Protocol) => Math.max(...PROTOCOL[p].steps.map((s) => Math.abs(s.celsius - 15)))
    for (const strict of PROTOCOLS.filter((p) => PROTOCOL[p].strict)) {
      const usual = PROTOCOLS.find((p) => PROTOCOL[p].of === PROTOCOL[strict].of && !PROTOCOL[p].strict)!
      expect(far(strict) > far(usual) || protocolHours(strict) > protocolHours(usual)).toBe(true)
    }
  })
  // Up to 2 NTU of rise counts as stable in the trade.
  it.each([
    [1, 1.5, 'none'],
    [1, 3, 'none'],
    [1, 3.5, 'little'],
    [2, 40, 'much'],
    [5, 4, 'none']
  ] as const)('from %d to %d NTU: %s', (before, after, fallen) => expect(fallenByNtu(before, after)).toBe(fallen))
  it.each([
    ['heat-2h', 'none', 'leave'],
    ['heat-2h', 'little', 'fine-least'],
    ['heat-6h', 'much', 'fine'],
    ['cold-3d', 'little', 'cold-or-accept'],
    ['cold-frozen', 'none', 'leave']
  ] as const)('%s, %s fell: %s', (protocol, fallen, advice) =>
    expect(testVerdict(protocol, fallen)).toEqual({ stable: advice === 'leave', advice }))
})

describe('acid tried in glasses', () => {
  // The trade's rule: a gram of tartaric acid raises TA by a gram and lowers pH by about 0.1 (craft 4.5).
  it('tells what the trade expects of it', () => {
    const [asIs, , more] = acidTrial({ ph: 3.65, taGPerL: 5.4, abv: 13 }, 'tartaric', [0, 0.5, 1])
    expect(asIs).toMatchObject({ rate: 0 })
    expect(asIs!.ph).toBeCloseTo(3.65, 2)
    expect(more!.taGPerL - asIs!.taGPerL).toBeCloseTo(1, 1)
    expect(asIs!.ph - more!.ph).toBeGreaterThan(0.05)
    expect(asIs!.ph - more!.ph).toBeLessThan(0.2)
  })
  it('a carbonate goes the other way, and each glass further than the one before', () => {
    const glasses = acidTrial({ ph: 3.1, taGPerL: 8.6, abv: 11.5 }, 'potassium-bicarbonate', [0, 0.25, 0.5, 1])
    for (const [i, g] of glasses.slice(1).entries()) {
      expect(g.ph).toBeGreaterThan(glasses[i]!.ph)
      expect(g.taGPerL).toBeLessThan(glasses[i]!.taGPerL)
    }
  })
})
