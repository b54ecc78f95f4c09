import { type Unit, type VolumeUnit, fromLitres } from '~~/core/units'

/** What a litre or two is poured by, where a gallon is too large to say it: the smaller measure that gives a number of one or more. */
export function readableVolumeUnit(volumeL: number, unit: VolumeUnit): VolumeUnit {
  const smaller: Partial<Record<VolumeUnit, VolumeUnit[]>> = {
    'L': ['L', 'mL'], 'US gal': ['US gal', 'US qt', 'US fl oz'], 'imp gal': ['imp gal', 'imp pt', 'imp fl oz']
  }
  const all = smaller[unit] ?? [unit]
  return volumeL === 0 ? all[0]! : (all.find((u) => fromLitres(volumeL, u) >= 0.999) ?? all.at(-1)!)
}

/** Sizes of vessels in a unit of volume, to tap: a number of three figures, as they are sold. */
export const sizesIn = (unit: Unit, litres: readonly number[]): number[] =>
  litres.map((size) => Number(fromLitres(size, unit as VolumeUnit).toPrecision(3)))

/** Units that a volume may be typed in, the person's own first. */
export const volumeUnitsFor = (unit: Unit): Unit[] =>
  unit === 'US gal' ? ['US gal', 'US qt', 'US fl oz', 'L', 'mL']
    : unit === 'imp gal' ? ['imp gal', 'imp pt', 'imp fl oz', 'L', 'mL'] : ['L', 'mL', 'US gal', 'imp gal']
