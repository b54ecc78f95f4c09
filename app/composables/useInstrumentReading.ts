import { fact, reading, titration } from '~~/core/drafts'
import type { Draft, LotView } from '~~/core/ledger'
import type { HandReads } from '~~/practice/season'
import type { Sample } from '~/workers/practice.worker'
import { CLARITY, GAS } from '~/wording/looks'
import { sayTastes } from '~/wording/practice'
import { saySmells } from '~/wording/smells'
import { useLogged } from '~/composables/useLogged'
import { useQuantityField } from '~/composables/useQuantityField'
import { useSugarField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'
import { usePracticeStore } from '~/stores/practice'
import { useSettingsStore } from '~/stores/settings'

/** What is in the glass and in the burette. */
export const ACID_SAMPLE = { sampleMl: 10, normality: 0.1 } as const
export const IODINE_SAMPLE = { sampleMl: 50, normality: 0.02 } as const

type Spot = 'none' | 'faint' | 'clear'
/** A lactic spot that anybody would see, and one that one may see, g/L; common practice, no source. */
const SPOT = { clear: 0.5, faint: 0.15 } as const
const spotOf = (gPerL: number): Spot => (gPerL > SPOT.clear ? 'clear' : gPerL > SPOT.faint ? 'faint' : 'none')

/** What a person reads off an instrument of a practice cellar, into its ledger. */
export function useInstrumentReading(lot: () => LotView | undefined, sample: () => Sample | undefined) {
  const cellar = useCellarStore()
  const practice = usePracticeStore()
  const settings = useSettingsStore()
  const logged = useLogged()
  const problem = ref('')
  const fields = {
    hydrometer: useSugarField('SG', { required: true }),
    refractometer: useQuantityField({ kind: 'sugar', unit: '°Brix', required: true, quantity: () => 'brix' }),
    thermometer: useQuantityField({
      kind: 'temperature', unit: settings.values.temperature, units: ['°C', '°F'], required: true, quantity: () => 'temperature'
    }),
    meter: useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' })
  }
  const empty = () => {
    problem.value = ''
    for (const field of Object.values(fields)) field.clear()
  }

  async function write(drafts: Draft[], said: string): Promise<boolean> {
    const done = await cellar.log(drafts)
    problem.value = done ? '' : (cellar.issues[0]?.reason ?? 'That cannot be logged.')
    if (done) logged(said)
    return Boolean(done)
  }
  async function logTyped(tool: keyof typeof fields): Promise<void> {
    const field = fields[tool]
    field.touch()
    const lotId = lot()?.id
    if (!lotId || field.value === undefined) return
    const quantity = tool === 'meter' ? 'ph' : tool === 'thermometer' ? 'temperature'
      : field.parsed.ok && field.parsed.unit === 'SG' ? 'sg' : 'brix'
    const by = quantity === 'ph' || quantity === 'temperature' ? {} : { by: tool as 'hydrometer' | 'refractometer' }
    const typed = `${field.text.trim()} ${field.unit}`.trim()
    if (await write([reading({ lotId, quantity, typed, value: field.value, ...by })], 'Reading logged')) field.clear()
  }
  async function logDrops(tool: 'titration' | 'iodine', usedMl: number): Promise<void> {
    const lotId = lot()?.id
    if (!lotId) return
    const { sampleMl, normality } = IODINE_SAMPLE
    // 1 mL of a normal solution takes 32.03 mg of SO₂.
    const free = Math.round((usedMl * normality * 32.03 * 1000) / sampleMl)
    await (tool === 'titration'
      ? write([titration(lotId, { ...ACID_SAMPLE, titrantMl: usedMl })], 'Acid logged')
      : write([reading({ lotId, quantity: 'freeSo2', typed: `${usedMl} mL`, value: free, by: 'iodine' })], 'Free SO₂ logged'))
  }
  async function logSenses(): Promise<void> {
    const lotId = lot()?.id
    const senses = sample()?.senses
    if (!lotId || !senses) return
    const { smells, clarity, gas, tastes } = senses
    await write([
      fact('observation', { lotId, what: 'smell', text: saySmells(smells), smells }),
      fact('observation', { lotId, what: 'clarity', text: CLARITY[clarity], clarity }),
      fact('observation', { lotId, what: 'gas', text: GAS[gas], gas }),
      fact('observation', { lotId, what: 'taste', text: sayTastes(tastes) })
    ], 'What you smelt, saw and tasted is logged')
  }
  async function logPaper(malic: Spot): Promise<void> {
    const lotId = lot()?.id
    const truth = sample()?.truth
    if (!lotId || !truth) return
    const spots = { malic, lactic: spotOf(truth.lactic) }
    const text = `Malic ${malic}, lactic ${spots.lactic}`
    await write([fact('observation', { lotId, what: 'chromatogram', text, spots })], 'Paper logged')
  }
  /** What the cellar hand reads: by what the wine is. */
  async function logByHand(): Promise<void> {
    const of = lot()
    if (!of) return
    const ferments = of.standing === 'must' || of.standing === 'fermenting'
    const what: HandReads[] = ferments ? ['sg', 'temperature', 'ph', 'ta'] : ['sg', 'temperature', 'ph', 'freeSo2', 'malic', 'sugar']
    const read = await practice.handReads(of.id, what)
    await write(read.map(({ quantity, value }) =>
      reading({ lotId: of.id, quantity, typed: String(value), value, ...(quantity === 'freeSo2' && { by: 'iodine' as const }) })),
    `The cellar hand took ${read.length} readings`)
  }
  return { fields, problem, empty, logTyped, logDrops, logSenses, logPaper, logByHand }
}
