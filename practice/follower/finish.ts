import { addition, fact } from '../../core/drafts'
import { SORBIC_SHARE } from '../../core/finishing'
import type { LotView } from '../../core/ledger'
import { BOTTLE_L, type StageFinding } from '../../core/stages'
import { DO, SEE } from '../../simulator'
import type { Hand } from './hand'
import { rack } from './moves'
import { sweetAim } from './sweet'

export function settle(hand: Hand, task: StageFinding & { code: 'settle' }, lot: LotView): void {
  const w = hand.wine
  const { code, state } = task.condition
  switch (code) {
    case 'stable-gravity':
    case 'acids-known':
      hand.gravity()
      if (code === 'acids-known' && !hand.lacks('ph-meter')) hand.read('ph', SEE.ph(w, hand.see))
      return
    case 'malic-settled':
      if (!hand.lacks('malic-strips') && (hand.season.tasks.get('settle:malic') ?? 0) < 2) {
        hand.season.tasks.set('settle:malic', (hand.season.tasks.get('settle:malic') ?? 0) + 1)
        hand.read('malic', SEE.malic(w, hand.see))
      }
      if (task.action?.to === 'sulphite') return hand.sulphite(lot, 'lock')
      return hand.take(task, hand.way(task, 'hold-by-heat', 'begin-malolactic'))
    case 'off-lees':
    case 'off-fining':
      return rack(hand, lot)
    case 'clear':
      if (state === 'not-met') rack(hand, lot)
      hand.look('clarity', { clarity: SEE.clarity(w, hand.see) })
      return
    case 'gas-out':
      if (state === 'not-met') {
        DO.degas(w)
        hand.work('degas')
      }
      hand.look('gas', { gas: SEE.gas(w, hand.see) })
      return
    case 'protein':
      if (state === 'not-met') {
        if (hand.give('bentonite', lot.volume.value * 0.6)) DO.bentonite(w, 0.6)
        return
      }
      hand.look('heat-test', { stable: SEE.staysClearInHeat(w, hand.see) })
      return
    case 'cold':
      if (state === 'not-met') {
        DO.chill(w)
        hand.work('chill')
        return
      }
      hand.look('cold-test', { stable: SEE.staysClearInCold(w) })
      return
    case 'sulphite':
    case 'sulphite-for-bottle':
      return hand.sulphite(lot, task.action?.to === 'sulphite' ? (task.action.aim ?? 'bottle') : 'bottle')
    case 'sweetness-held':
      return sweetness(hand, task, lot)
    case 'sound':
      if (state === 'not-met') rack(hand, lot, SEE.smells(w, hand.see)[0] === 'rotten-egg')
      hand.look('smell', { smells: SEE.smells(w, hand.see) })
      return
    default:
      return hand.take(task, task.waysOut?.[0])
  }
}

/** Sugar that may be left, or that is to be there. */
function sweetness(hand: Hand, task: StageFinding & { code: 'settle' }, lot: LotView): void {
  const w = hand.wine
  if (task.condition.state === 'unknown') {
    if (!hand.lacks('sugar-test')) hand.read('sugar', SEE.sugar(w, hand.see))
    else hand.look('warm-glass', { stable: w.sugar < 4 })
    return
  }
  const sorbate = sweetAim(lot)
  if (lot.plan.hold === 'heat' || sorbate === undefined) return hand.take(task, hand.way(task, 'hold-by-heat'))
  if (hand.give('potassium-sorbate', sorbate)) DO.sorbate(w, (sorbate * SORBIC_SHARE * 1000) / w.litres)
  hand.sulphite(hand.lot(), 'level')
}

/** Sugar to taste: 25 g/L, and what keeps it, as the bench has it. */
export function sweeten(hand: Hand, lot: LotView): void {
  const grams = Math.round(lot.volume.value * 25)
  if (hand.log(addition({ lotId: hand.lotId, material: 'sugar', planned: grams, actual: grams }))) DO.sugar(hand.wine, grams)
  const sorbate = lot.plan.hold === 'sorbate' ? sweetAim(lot) : undefined
  if (sorbate !== undefined && hand.give('potassium-sorbate', sorbate)) DO.sorbate(hand.wine,
    (sorbate * SORBIC_SHARE * 1000) / hand.wine.litres)
}

export function bottle(hand: Hand, lot: LotView): void {
  // No more than there is, whatever the ledger says.
  const count = Math.floor((Math.min(lot.volume.value, hand.wine.litres) - 0.15) / 0.75)
  if (count < 1) return
  const sparkling = lot.plan.sparkling
  if (sparkling && hand.give('sugar', lot.volume.value * 20)) DO.sugar(hand.wine, lot.volume.value * 20)
  const filled = { ...hand.wine, acids: { ...hand.wine.acids } }
  const bottles = [{ sizeMl: 750, count, ...(sparkling && { material: 'sparkling-bottle-750' }) }]
  if (!hand.log(fact('bottling', { lotId: hand.lotId, bottles, closure: sparkling ? 'crown' : 'cork' }))) return
  hand.wine.litres -= count * 0.75
  hand.season.bottledDay = Math.floor(hand.day)
  hand.season.bottles += count
  hand.season.filled = filled
  // What a barrel drank was in the ledger until now: whoever fills bottles sees that the vessel is empty.
  if (hand.lot().volume.value - hand.wine.litres > BOTTLE_L) hand.read('volume', Math.round(hand.wine.litres * 10) / 10)
}
