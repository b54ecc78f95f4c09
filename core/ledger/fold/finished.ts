import type { CellarState } from '../state'

/** Rounding of what people note: so much over the brim is none. */
const BRIM = 1.001
/** What sugar, a solution or a scale on a vessel may bring it over: asked about, and not refused. Ours. */
const RUNS_OVER = 1.03

/** What each vessel holds at the end, and whether it can. */
export function finished(cellar: CellarState): CellarState {
  const vessels = new Map([...cellar.vessels].map(([id, vessel]) => [id, { ...vessel, litres: 0 }]))
  const problems = [...cellar.problems]
  for (const lot of cellar.lots.values()) {
    for (const [vesselId, litres] of lot.contents) {
      const vessel = vessels.get(vesselId)
      if (!vessel) continue
      vessel.litres = litres
      const entryId = lot.volume.from.at(-1)!
      if (litres > vessel.capacityL * RUNS_OVER) problems.push({ code: 'overfull', entryId, vesselId, litres, capacityL: vessel.capacityL })
      else if (litres > vessel.capacityL * BRIM)
        problems.push({ code: 'brim-full', entryId, lotId: lot.id, vesselId, overL: litres - vessel.capacityL })
    }
  }
  const blocks = new Map([...cellar.blocks].filter(([, block]) => !block.unnamed))
  for (const { unnamed, id, samples, notes } of cellar.blocks.values())
    if (unnamed) for (const { id: entryId } of [...samples, ...notes]) problems.push({ code: 'unknown-block', entryId, blockId: id })
  return { ...cellar, vessels, blocks, problems }
}
