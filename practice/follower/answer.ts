import { fact, inoculation } from '../../core/drafts'
import { type LotView, partsOfPacket } from '../../core/ledger'
import { cardOf } from '../../core/materials'
import type { StageFinding } from '../../core/stages'
import { firstDose } from '../../core/sulphite'
import { DO, SEE } from '../../simulator'
import { correct, crush, packet } from './crush'
import { bottle, settle, sweeten } from './finish'
import type { Hand } from './hand'
import { keepApart, rack, top } from './moves'

export function answer(hand: Hand, task: StageFinding, lot: LotView): void {
  const w = hand.wine
  const v = lot.volume.value
  switch (task.code) {
    case 'crush-step':
      return crush(hand, task, lot)
    case 'sulphite-must': {
      const dose = firstDose(v, w.must.rot > 0.1 ? 'some-rot' : 'sound', lot.style, 'potassium-metabisulphite', lot.ph?.value,
        lot.malolactic === 'to-come')
      return hand.sulphite(lot, 'level', dose.grams)
    }
    case 'measure-must':
      hand.gravity()
      if (!hand.lacks('ph-meter')) hand.read('ph', SEE.ph(w, hand.see))
      if (!hand.lacks('acid-kit')) hand.read('ta', SEE.ta(w, hand.see))
      return
    case 'correct-must':
      return correct(hand, task, lot)
    case 'pitch': {
      const celsius = SEE.celsius(w, hand.see)
      const shocked = celsius > 37
      const yeast = inoculation({ lotId: hand.lotId, organism: 'yeast', culture: 'Yeast of the house', grams: v * 0.25 })
      if (hand.log({ ...yeast, mustC: celsius })) DO.pitch(w, 0.25, shocked)
      if (hand.scenario.refractometerOff !== undefined) hand.checkRefractometer()
      return
    }
    case 'feed':
      for (const { nutrient, grams } of task.gifts) {
        const card = cardOf(nutrient)
        const mgPerG = card?.effect.on === 'nitrogen' ? card.effect.mgPerG : 100
        if (hand.give(nutrient, grams)) DO.feed(w, (grams * mgPerG) / v)
      }
      return
    case 'work-cap':
      hand.work('punch-down')
      return
    case 'stir-must':
      hand.work('stir')
      return
    case 'read-ferment':
    case 'confirm-dryness':
    case 'left-alone':
      hand.gravity()
      return
    case 'measure-blend':
      hand.gravity()
      if (!hand.lacks('ph-meter')) hand.read('ph', SEE.ph(w, hand.see))
      if (!hand.lacks('acid-kit')) hand.read('ta', SEE.ta(w, hand.see))
      return
    case 'press':
      rack(hand, lot, false, 'press')
      return keepApart(hand)
    case 'not-begun':
      DO.pitch(w, 0.25)
      hand.log(inoculation({ lotId: hand.lotId, organism: 'yeast', culture: 'Yeast of the house', grams: v * 0.25 }))
      return
    case 'tell-if-dry':
      if (!hand.lacks('sugar-test')) hand.read('sugar', SEE.sugar(w, hand.see))
      else hand.take(task, hand.way(task, 'dry-for-this-wine'))
      return
    case 'stuck': {
      const times = hand.season.tasks.get('stuck') ?? 0
      if (!hand.lacks('sugar-test') && times % 3 === 1) hand.read('sugar', SEE.sugar(w, hand.see))
      else if (w.celsius < 18 && hand.way(task, 'warm-it')) {
        hand.warmUntil = hand.day + 7
        hand.take(task, hand.way(task, 'warm-it'))
      }
      else if (times > 4 && hand.way(task, 'leave-sweet')) hand.take(task, hand.way(task, 'leave-sweet'))
      else {
        DO.pitch(w, 0.6)
        w.nature = { ...w.nature, ethanolMax: Math.max(w.nature.ethanolMax, 132) }
        hand.log(inoculation({ lotId: hand.lotId, organism: 'yeast', culture: 'Hardy yeast', grams: v * 0.5 }))
        hand.take(task, hand.way(task, 'restart'))
      }
      return
    }
    case 'rack-gross-lees':
    case 'rack-again':
    case 'rack-off-fining':
    case 'out-of-wood':
      return rack(hand, lot)
    case 'start-malolactic':
      DO.bacteria(w)
      hand.log(inoculation({ lotId: hand.lotId, organism: 'bacteria', culture: 'Bacteria of the house', grams: v / 200 }))
      return
    case 'sugar-before-bacteria':
      if (task.tested !== undefined && !task.goesOn) hand.take(task, hand.way(task, 'no-malolactic'))
      else if (!hand.lacks('sugar-test')) hand.read('sugar', SEE.sugar(w, hand.see))
      else hand.take(task, hand.way(task, 'dry-for-this-wine', 'no-malolactic'))
      return
    case 'malolactic-early':
      return hand.take(task, hand.way(task, 'bacteria-early'))
    case 'malolactic-wanted':
      if (w.celsius < 16 && hand.way(task, 'warm-it')) hand.warmUntil = hand.day + 28
      return hand.take(task, hand.way(task, 'warm-it', 'no-malolactic'))
    case 'malolactic-stands': {
      const times = hand.season.tasks.get('malolactic-stands') ?? 0
      if (!hand.lacks('malic-strips') && times % 3 === 1) hand.read('malic', SEE.malic(w, hand.see))
      if (times > 4) return hand.take(task, hand.way(task, 'accept-malic', 'block-malolactic'))
      hand.warmUntil = hand.day + 28
      return hand.take(task, hand.way(task, 'warm-it', 'block-malolactic'))
    }
    case 'follow-malolactic':
      if (task.warmthUnknown) hand.read('temperature', SEE.celsius(w, hand.see))
      if (!hand.lacks('malic-strips')) hand.read('malic', SEE.malic(w, hand.see))
      else {
        const malic = w.acids.malic > 0.9 ? 'clear' : w.acids.malic > 0.15 ? 'faint' : 'none'
        hand.log(fact('observation',
          { lotId: hand.lotId, what: 'chromatogram', text: 'spots', spots: { malic, lactic: w.acids.lactic > 0.3 ? 'clear' : 'none' } }))
      }
      return
    case 'sulphite-after-malolactic':
    case 'sulphite-low': {
      const action = task.action
      return hand.sulphite(lot, action?.to === 'sulphite' ? (action.aim ?? 'level') : 'level')
    }
    case 'check-sulphite':
    case 'free-before-bottle':
    case 'measure-free':
      if (hand.lacks('so2-kit')) hand.take(task, hand.way(task, 'no-instrument'))
      else hand.read('freeSo2', SEE.freeSo2(w, hand.see))
      return
    case 'measure-wine':
      if (hand.lacks('ph-meter')) hand.take(task, hand.way(task, 'no-instrument'))
      else hand.read('ph', SEE.ph(w, hand.see))
      return
    case 'top-up':
    case 'top-barrel':
      return top(hand, task, lot)
    case 'taste-oak':
    case 'taste-wood':
      hand.look('taste', {})
      return
    case 'oak-out':
      DO.oakOut(w)
      hand.work('oak-out')
      return
    case 'look-at-clarity':
      hand.look('clarity', { clarity: SEE.clarity(w, hand.see) })
      return
    case 'haze-stays':
      if ((hand.season.tasks.get('haze-stays') ?? 0) > 2) return hand.take(task, hand.way(task, 'accept-haze'))
      if (hand.give('bentonite', v * 0.5)) DO.bentonite(w, 0.5)
      return
    case 'smell-again':
    case 'smell-kept':
      hand.look('smell', { smells: SEE.smells(w, hand.see) })
      return
    case 'shake-for-gas':
      hand.look('gas', { gas: SEE.gas(w, hand.see) })
      return
    case 'degas':
      DO.degas(w)
      hand.work('degas')
      return
    case 'settle':
      return settle(hand, task, lot)
    case 'sweeten':
      return task.needsHeat ? hand.take(task, hand.way(task, 'hold-by-heat')) : sweeten(hand, lot)
    case 'bottle':
      return bottle(hand, lot)
    case 'pasteurise-bottles':
      DO.pasteurise(w)
      if (hand.season.filled) hand.season.filled.pasteurised = true
      hand.work('pasteurise')
      return
    case 'packet': {
      const index = Number(task.key.split(':')[1])
      for (const part of partsOfPacket(lot.kit!.packets[index]!, v)) packet(hand, part.material, part.amount)
      return hand.done(task)
    }
    case 'remnant':
      return hand.take(task, hand.way(task, 'drink-it'))
    case 'lay-down':
    case 'taste-bottle':
    case 'drink-up':
    case 'bottles-lie':
    case 'open-one':
      return hand.done(task)
    default:
      hand.season.unknown.add(task.code)
      hand.take(task, task.waysOut?.[0])
  }
}
