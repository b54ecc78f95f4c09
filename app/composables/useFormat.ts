import { brixFromSg } from '~~/core/hydrometry'
import {
  BAR_PER,
  type MassUnit,
  type QuantityKind,
  type Unit,
  type VolumeUnit,
  fromCelsius,
  fromKilograms,
  fromLitres
} from '~~/core/units'
import { readableVolumeUnit } from '~/wording/volume-units'
import { inDegrees, inPsi } from '~/wording/degrees'
import { useSettingsStore } from '~/stores/settings'

/** A number ready to be shown: digits and unit apart, so that the number can be large and the unit small. */
export interface Shown {
  text: string
  unit: string
}

const digits = (value: number, decimals: number): string => value.toFixed(decimals).replace('-', '−')
/** Three figures that matter, as many decimals as that takes. */
const threeFigures = (value: number): string => digits(value, Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2)

const withoutZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text)

/** Shows quantities in the person's units, with the digits they deserve. */
export function useFormat() {
  const settings = useSettingsStore()

  const volumeUnit = computed<VolumeUnit>(() =>
    settings.values.system === 'US' ? 'US gal' : settings.values.system === 'imperial' ? 'imp gal' : 'L'
  )
  const massUnit = computed<MassUnit>(() => (settings.values.system === 'metric' ? 'kg' : 'lb'))
  const temperatureUnit = computed(() => settings.values.temperature)

  function volume(volumeL: number): Shown {
    const unit = readableVolumeUnit(volumeL, volumeUnit.value)
    const own = fromLitres(volumeL, unit)
    return { text: unit === 'mL' ? digits(own, 0) : withoutZeros(threeFigures(own)), unit }
  }
  /** A volume and how far it may be off, both in its unit and with its decimals. */
  function volumeWithin(volumeL: number, spreadL: number): Shown & { spread: string } {
    const shown = volume(volumeL)
    const own = fromLitres(spreadL, shown.unit as VolumeUnit)
    return { ...shown, spread: digits(own, shown.text.split('.')[1]?.length ?? 0) }
  }
  const mass = (massKg: number): Shown => ({
    text: withoutZeros(threeFigures(fromKilograms(massKg, massUnit.value))),
    unit: massUnit.value
  })
  const temperature = (celsius: number): Shown => ({
    text: digits(fromCelsius(celsius, temperatureUnit.value), settings.values.temperature === '°F' ? 0 : 1).replace(/\.0$/, ''),
    unit: settings.values.temperature
  })
  /** Above the air's: psi in US units. */
  const pressure = (bar: number): Shown =>
    settings.values.system === 'US' ? { text: digits(bar / BAR_PER.psi, 0), unit: 'psi' } : { text: digits(bar, 1), unit: 'bar' }
  const pressureUnit = computed(() => (settings.values.system === 'US' ? 'psi' as const : 'bar' as const))
  const gravity = (sg: number): Shown => ({ text: digits(sg, 3), unit: 'SG' })
  const brix = (value: number): Shown => ({ text: digits(value, 1), unit: '°Brix' })
  const sugar = (sg: number): Shown => (settings.values.sugar === 'SG' ? gravity(sg) : brix(brixFromSg(sg)))
  const ph = (value: number): Shown => ({ text: digits(value, 2), unit: 'pH' })
  const acid = (gPerL: number): Shown => ({ text: digits(gPerL, 1), unit: 'g/L' })
  const so2 = (mgPerL: number): Shown => ({ text: digits(mgPerL, 0), unit: 'mg/L' })
  const nitrogen = (mgPerL: number): Shown => ({ text: digits(mgPerL, 0), unit: 'mg N/L' })
  const molecular = (mgPerL: number): Shown => ({ text: digits(mgPerL, 2), unit: 'mg/L molecular' })
  const percentAlcohol = (abv: number): Shown => ({ text: digits(abv, 1), unit: '% vol' })

  /** A weight of powder, to the step of the person's scale but never finer than a hundredth of it. */
  function powder(grams: number): Shown {
    const step = settings.values.scaleStepG
    if (grams >= 1000 && massUnit.value === 'lb') return { text: withoutZeros(threeFigures(fromKilograms(grams / 1000, 'lb'))), unit: 'lb' }
    if (grams >= 1000) return { text: digits(grams / 1000, 2), unit: 'kg' }
    return { text: digits(grams, grams < 1 ? 2 : grams >= 100 ? 0 : step < 0.1 ? 2 : 1), unit: 'g' }
  }
  /** A weight of powder as one would type it, always in grams. */
  const typedPowder = (grams: number): string => (grams >= 1000 ? digits(grams, 0) : powder(grams).text)
  /** A stored number as one would type it again, in the unit of its field. */
  function typed(value: number, measure: QuantityKind, unit: Unit): string {
    const own =
      measure === 'volume'
        ? fromLitres(value, unit as VolumeUnit)
        : measure === 'mass'
          ? fromKilograms(value, unit as MassUnit)
          : measure === 'temperature'
            ? fromCelsius(value, unit as '°C' | '°F')
            : measure === 'pressure'
              ? value / BAR_PER[unit as 'bar' | 'psi']
              : value
    return unit === 'SG' ? own.toFixed(3) : String(Number(own.toPrecision(6)))
  }
  /** From so much to so much, the unit once where it is one. */
  function volumes(low: number, high: number, between = 'to'): string {
    const [a, b] = [volume(low), volume(high)]
    return a.unit === b.unit ? `${a.text} ${between} ${words(b)}` : `${words(a)} ${between} ${words(b)}`
  }
  /** Litres as one would type them. */
  const typedVolume = (litres: number, digits = 4): string => String(Number(fromLitres(litres, volumeUnit.value).toPrecision(digits)))
  const sugarUnit = computed(() => settings.values.sugar)
  const words = (shown: Shown): string => `${shown.text} ${shown.unit}`

  /** A text that names temperatures, in the person's degrees. */
  const degrees = (text: string): string => {
    const own = inDegrees(text, settings.values.temperature)
    return settings.values.system === 'US' ? inPsi(own) : own
  }
  return {
    volumeUnit,
    massUnit,
    temperatureUnit,
    sugarUnit,
    typed,
    typedVolume,
    volumes,
    volume,
    volumeWithin,
    mass,
    temperature,
    pressureUnit,
    pressure,
    gravity,
    brix,
    sugar,
    ph,
    acid,
    so2,
    nitrogen,
    molecular,
    percentAlcohol,
    powder,
    typedPowder,
    words,
    degrees
  }
}
