import type { EntryOf } from '../entry'
import { isHeld } from '../facets'
import { freeSo2At } from '../free-so2'
import { loseGiven } from '../liquid'
import { restsOn } from '../rests-on'
import { sugarLeftOf } from '../sugar-left'
import { CLOSURE_MATERIAL } from './closures'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'
import { takeFromStore } from './stock'
import { emptyOut, leave } from './transfer'

/** Closures and bottles that are taken from the store. */
function takes({ bottles, closure, closureMaterial }: EntryOf<'bottling'>): { material: string, count: number, gathered: boolean }[] {
  const closed = closureMaterial ?? (closure && CLOSURE_MATERIAL[closure])
  const count = bottles.reduce((sum, b) => sum + b.count, 0)
  return [
    ...(closed ? [{ material: closed, count, gathered: false }] : []),
    ...bottles.flatMap((b) => (b.material ? [{ material: b.material, count: b.count, gathered: true }] : []))
  ]
}

/** Wine left over after bottling that counts as lees and nothing more: this part of what was there, or a last cup. */
const DREGS = { share: 0.05, litres: 0.05 } as const
/** More may come out of a volume that was measured than was thought: the error of a scale on a vessel. */
const MEASURED_ERROR = 0.03

/**
 * Wine goes out of its vessels into bottles, the smallest vessels first. A lot is over when nothing worth a bottle is left; more
 * than there is cannot be bottled, within the error of its volume.
 */
export const bottling: EntryKind<'bottling'> = {
  type: 'bottling',
  touches: (e) => ofLot(e, { materials: takes(e).map((t) => t.material) }),
  apply(folding, bottled) {
    const lot = lotOf(folding, bottled)
    if (!lot) return
    const litres = bottled.bottles.reduce((sum, b) => sum + b.sizeMl * b.count, 0) / 1000
    const held = lot.volume.value
    const slack = lot.volume.origin === 'estimated' ? lot.volume.uncertainty : held * MEASURED_ERROR
    if (litres > held + slack + DREGS.litres) {
      folding.problem({ code: 'more-out-than-in', entryId: bottled.id, lotId: lot.id, outL: litres, heldL: held })
      return
    }
    lot.bottles += bottled.bottles.reduce((sum, b) => sum + b.count, 0)
    lot.bottledL += litres
    for (const { material, count, gathered } of takes(bottled)) {
      // Bottles are gathered and washed, not bought, where the store knows of none: they cost nothing that is not written down.
      if (!gathered || folding.cellar.stock.has(material))
        takeFromStore(folding, { material, unit: 'pieces', amount: count }, bottled.at, lot)
    }
    const [sugar, free] = [sugarLeftOf(lot), lot.freeSo2 && freeSo2At(lot.freeSo2, bottled.at)]
    const filled = {
      ...(free && { freeMgPerL: free.value }),
      ...(sugar && { sugarMid: sugar.mid, sugarHigh: sugar.high })
    }
    const where = { ...(bottled.closure && { closure: bottled.closure }), ...(bottled.place && { place: bottled.place }) }
    const about = { at: bottled.at, ...filled, ...where }
    lot.bottled = [
      ...lot.bottled,
      ...bottled.bottles.map((b) => ({ ...about, sizeMl: b.sizeMl, left: b.count, ...(b.material && { material: b.material }) }))
    ]
    if (!bottled.keeps && held - litres <= Math.max(DREGS.litres, held * DREGS.share)) emptyOut(folding, lot, bottled.at)
    else {
      let toTake = litres
      for (const [vesselId, inIt] of [...lot.contents].sort((a, b) => a[1] - b[1])) {
        const taken = Math.min(inIt, toTake)
        toTake -= taken
        if (inIt - taken > DREGS.litres) lot.contents.set(vesselId, inIt - taken)
        else leave(folding, lot, vesselId, bottled.at)
      }
    }
    const value = [...lot.contents.values()].reduce((sum, inIt) => sum + inIt, 0)
    if (held > 0) loseGiven(lot, value / held)
    lot.volume = { ...lot.volume, value, at: bottled.at, from: restsOn(lot.volume.from, bottled.id) }
    if (!isHeld(lot)) lot.volume = { ...lot.volume, origin: 'measured', uncertainty: 0 }
  }
}
