import { z } from 'zod'
import { standardiseTitrant, titrate } from '../../core/acids'
import { actualAlcohol, correctHydrometer, correctRefractometer, potentialAlcohol, residualSugar, sugarScales } from '../../core/hydrometry'
import { freeSo2FromTitration } from '../../core/sulphite'
import { calculation } from './calculation'
import { n } from './numbers'

/** Instruments and what they read. */
export const MEASURING = [
  calculation(
    'sugar-scales',
    'One sugar reading on all scales at 20 °C.',
    z.strictObject({ value: n('value'), scale: z.enum(['sg', 'brix', 'plato', 'baume', 'oechsle', 'kmw', 'sugarGPerL']) }),
    (b) => sugarScales(b.value, b.scale)
  ),
  calculation(
    'hydrometer',
    'A hydrometer reading corrected for the temperature of the sample.',
    z.strictObject({
      reading: n('reading'),
      scale: z.enum(['sg', 'brix']).default('sg'),
      sampleC: n('sampleC'),
      calibrationC: n('calibrationC').default(20)
    }),
    (b) => correctHydrometer(b.reading, b.scale, b.sampleC, b.calibrationC)
  ),
  calculation(
    'refractometer',
    'A refractometer during fermentation, corrected for alcohol and for its zero.',
    z.strictObject({ originalBrix: n('originalBrix'), currentBrix: n('currentBrix'), offsetBrix: n('offsetBrix').default(0) }),
    (b) => correctRefractometer(b.originalBrix, b.currentBrix, b.offsetBrix)
  ),
  calculation(
    'alcohol',
    'Alcohol made between two gravities, % vol, by each method; nothing added in between.',
    z.strictObject({ originalSg: n('originalSg'), currentSg: n('currentSg') }),
    (b) => actualAlcohol(b.originalSg, b.currentSg)
  ),
  calculation('potential-alcohol', 'Alcohol a must can give, % vol, by each method.', z.strictObject({ brix: n('brix') }), (b) =>
    potentialAlcohol(b.brix)
  ),
  calculation(
    'residual-sugar',
    'Sugar left, g/L, from gravity and alcohol by the true extract.',
    z.strictObject({ sg: n('sg'), abv: n('abv'), sugarFreeGPerL: n('sugarFreeGPerL').optional() }),
    (b) => ({ sugarGPerL: residualSugar(b.sg, b.abv, b.sugarFreeGPerL) })
  ),
  calculation(
    'titration',
    'Titratable acidity as tartaric from a titration with base.',
    z.strictObject({ sampleMl: n('sampleMl'), titrantMl: n('titrantMl'), normality: n('normality'), stepMl: n('stepMl').optional() }),
    (b) => titrate(b.sampleMl, b.titrantMl, b.normality, b.stepMl)
  ),
  calculation(
    'titrant',
    'True strength of a base against potassium hydrogen phthalate.',
    z.strictObject({ phthalateG: n('phthalateG'), titrantMl: n('titrantMl') }),
    (b) => ({ normality: standardiseTitrant(b.phthalateG, b.titrantMl) })
  ),
  calculation(
    'free-so2',
    'Free SO₂ from an iodine or an aspiration titration.',
    z.strictObject({
      method: z.enum(['iodine', 'aspiration']),
      sampleMl: n('sampleMl'),
      titrantMl: n('titrantMl'),
      normality: n('normality'),
      style: z.enum(['red', 'rose', 'white']).default('red'),
      stepMl: n('stepMl').optional()
    }),
    (b) => freeSo2FromTitration(b.method, b.sampleMl, b.titrantMl, b.normality, b.style, b.stepMl)
  )
]
