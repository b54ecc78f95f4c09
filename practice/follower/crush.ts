import { addition, fact } from '../../core/drafts'
import { type LotView, partsOfPacket } from '../../core/ledger'
import { type StageFinding, correctionOf } from '../../core/stages'
import { SORBIC_SHARE } from '../../core/finishing'
import { SO2_SHARE } from '../../core/sulphite'
import { DO, SEE, addSulphite } from '../../simulator'
import type { Hand } from './hand'
import { rack } from './moves'

export function crush(hand: Hand, task: StageFinding & { code: 'crush-step' }, lot: LotView): void {
  const w = hand.wine
  switch (task.step) {
    case 'came-sulphited':
      return hand.take(task, hand.way(task, w.must.sulphited > 0 ? 'came-with' : 'came-without'))
    case 'thaw':
    case 'settle':
    case 'cold-soak':
      hand.work(task.step)
      return
    case 'rack-solids':
      return rack(hand, lot, true)
    case 'water-kit': {
      const sg = SEE.sg(w, hand.see)
      const litres = Math.max(0, (lot.volume.value * (sg - 1)) / (lot.kit!.targetSg - 1) - lot.volume.value)
      if (hand.log({ type: 'addition', lotId: hand.lotId, material: 'water', unit: 'L', planned: litres,
        actual: Math.round(litres * 10) / 10 })) DO.water(w, litres)
      hand.gravity()
      return
    }
    case 'packets':
      for (const [i, p] of lot.kit!.packets.entries())
        if (p.step === 'before-yeast') {
          for (const part of partsOfPacket(p, lot.volume.value)) packet(hand, part.material, part.amount)
          hand.log(fact('task-ended', { lotId: hand.lotId, task: `packet:${i}`, outcome: 'done' }))
        }
      return
    case 'true-volume':
      hand.read('volume', w.litres)
      return
    default:
      // Whoever does not do a step says so.
      hand.log(fact('task-ended', { lotId: hand.lotId, task: `crush:${task.step}`, outcome: 'skipped' }))
  }
}

export function correct(hand: Hand, task: StageFinding & { code: 'correct-must' }, lot: LotView): void {
  const w = hand.wine
  if (task.phase === 'measure-again') {
    hand.gravity()
    if (!hand.lacks('ph-meter')) hand.read('ph', SEE.ph(w, hand.see))
    if (!hand.lacks('acid-kit')) hand.read('ta', SEE.ta(w, hand.see))
    return
  }
  const found = correctionOf(lot)
  if (!found || found.additions.length === 0) {
    hand.log(fact('task-ended', { lotId: hand.lotId, task: 'crush:correct', outcome: 'skipped' }))
    return
  }
  const parts = task.phase === 'plan' ? 0.75 : 1
  const stage = { number: task.phase === 'plan' ? 1 : 2, of: 2 }
  for (const { material, total } of found.additions) {
    const amount = total * parts
    if (material === 'water') {
      const water = addition({ lotId: hand.lotId, material: 'water', planned: amount, actual: Math.round(amount * 10) / 10 })
      if (!hand.log({ ...water, stage })) continue
      DO.water(w, amount)
      hand.watch.happened(hand.day, 'give:water')
      continue
    }
    const key = material === 'sucrose' ? 'sugar' : material
    const part = addition({ lotId: hand.lotId, material: key, planned: amount, actual: Math.round(amount * 10) / 10 })
    if (!hand.log({ ...part, stage })) continue
    hand.watch.happened(hand.day, `give:${key}`)
    if (key === 'sugar') DO.sugar(w, amount)
    else if (key === 'tartaric') DO.acid(w, amount / w.litres)
    else if (key === 'potassium-bicarbonate') DO.carbonate(w, amount / w.litres)
  }
  hand.day += 0.02
  if (task.phase === 'plan') return
  hand.log(fact('task-ended', { lotId: hand.lotId, task: 'crush:correct', outcome: 'skipped' }))
}

export function packet(hand: Hand, material: string, grams: number): void {
  const w = hand.wine
  if (material === 'potassium-metabisulphite') addSulphite(w, (grams * SO2_SHARE[material] * 1000) / w.litres)
  else if (material === 'potassium-sorbate') DO.sorbate(w, (grams * SORBIC_SHARE * 1000) / w.litres)
  else if (material === 'bentonite' || material === 'chitosan') DO.bentonite(w, grams / w.litres)
}
