import { describe, expect, it } from 'vitest'
import { QUANTITIES } from '../quantities'
import { SO2_SHARE } from '../sulphite'
import {
  MATERIALS,
  MATERIAL_KEYS,
  type MaterialKey,
  type MaterialKind,
  cardOf,
  cardTyped,
  cardsOf,
  hoursApart,
  materialKey,
  overUsual
} from '.'

/** What the card of each kind must say besides what the type asks for. */
const MUST_SAY: Record<MaterialKind, readonly ('dose' | 'limit' | 'spoonG' | 'cautions' | 'aliases' | 'closes' | 'bottle')[]> = {
  acid: ['dose', 'limit', 'spoonG', 'cautions', 'aliases'],
  carbonate: ['dose', 'limit', 'cautions', 'aliases'],
  sulphite: ['cautions'],
  sugar: ['cautions', 'aliases'],
  water: ['limit', 'cautions', 'aliases'],
  nutrient: ['dose', 'cautions', 'aliases'],
  yeast: ['dose', 'cautions', 'aliases'],
  bacteria: ['dose', 'cautions', 'aliases'],
  enzyme: ['dose', 'cautions', 'aliases'],
  fining: ['dose', 'cautions', 'aliases'],
  tannin: ['dose', 'cautions', 'aliases'],
  oak: ['dose', 'cautions', 'aliases'],
  stabiliser: ['dose', 'cautions', 'aliases'],
  closure: ['aliases', 'closes'],
  bottle: ['bottle']
}

describe('the register of materials', () => {
  it.each(MATERIAL_KEYS)('the card of %s is whole', (key) => {
    const card = MATERIALS[key]
    expect(card.key).toBe(key)
    expect(QUANTITIES).toHaveProperty(card.measuredBy)
    expect(card.opened.days).toBeGreaterThan(0)
    for (const part of MUST_SAY[card.kind])
      expect(card[part], part).toSatisfy((x: unknown) => (Array.isArray(x) ? x.length > 0 : x !== undefined))
    if (card.dose) expect(card.dose.min).toBeLessThanOrEqual(card.dose.max)
    if (card.dose && card.limit) expect(card.dose.max).toBeLessThanOrEqual(card.limit.perL * 1.01)
  })
  it('no typed word stands for two things', () => {
    const words = MATERIAL_KEYS.flatMap((key) => MATERIALS[key].aliases)
    expect(words).toHaveLength(new Set(words).size)
  })
  it('every kind has a card', () => {
    for (const kind of Object.keys(MUST_SAY) as MaterialKind[]) expect(cardsOf([kind]), kind).not.toHaveLength(0)
  })
  // Stoichiometry by IUPAC weights, as printed in every handbook: 57.6 % and 67.4 %.
  it.each([
    ['potassium-metabisulphite', 0.576],
    ['sodium-metabisulphite', 0.674]
  ] as const)('%s brings %d of its weight as SO₂', (key, share) => {
    const { effect } = MATERIALS[key]
    expect(effect.on === 'sulphite' && effect.so2Share).toBeCloseTo(share, 3)
    expect(SO2_SHARE[key]).toBeCloseTo(share, 3)
  })
  it('what others call by another name is found, and people’s own cards come first', () => {
    expect(materialKey('sucrose')).toBe('sugar')
    const mine = { ...MATERIALS['complex-nutrient'], key: 'own-1', name: 'Vine food' }
    const own = new Map([[mine.key, mine]])
    expect(cardOf('own-1', own)).toBe(mine)
    expect(cardTyped('vine food', own)).toBe(mine)
    expect(cardTyped('sorbate')!.key).toBe('potassium-sorbate')
    expect(cardOf('alchemy')).toBeUndefined()
  })
  it('enzyme and yeast are kept apart from sulphite, whichever comes first', () => {
    expect(hoursApart(MATERIALS['potassium-metabisulphite'], MATERIALS['pectic-enzyme'])).toBe(6)
    expect(hoursApart(MATERIALS.yeast, MATERIALS['sodium-metabisulphite'])).toBe(12)
    expect(hoursApart(MATERIALS.tartaric, MATERIALS.yeast)).toBe(0)
  })
})

describe('an amount with a slipped digit is told from a large one', () => {
  // Usual: 30 to 60 mg/L of SO₂ at first (craft 3.3), 1 to 3 g/L of acid; the tenfold of either is no method.
  it.each<[MaterialKey, number, number, boolean]>([
    ['potassium-metabisulphite', 4, 77, false],
    ['potassium-metabisulphite', 12, 77, false],
    ['potassium-metabisulphite', 40, 77, true],
    ['sodium-metabisulphite', 3.3, 77, false],
    ['tartaric', 150, 77, false],
    ['tartaric', 1500, 77, true],
    ['ammonium-phosphate', 40, 77, false],
    ['ammonium-phosphate', 400, 77, true],
    ['sugar', 2000, 40, false],
    ['tartaric', 10, 0, false]
  ])('%s, %d in %d L: %s', (key, amount, litres, odd) => expect(overUsual(MATERIALS[key], amount, litres) !== undefined).toBe(odd))
})
