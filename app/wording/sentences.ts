import type { Equipment, Fact, OwnErrors, Owned, ReadByEye } from '~~/core/ledger'
import type { Shown } from '~/composables/useFormat'
import type { CrushStepCode, Gate } from '~~/core/stages'
import type { TestStep } from '~~/core/must'
import { STEP } from './crush'
import { sayDay, sayDayOf } from './days'
import { inDegrees } from './degrees'
import { sayFaults } from './faults'
import { planParts, sayPlan } from './plan'
import { GATE } from './readiness'
import { PROTOCOL_WORDS } from './stability'
import { TEST_STEP } from './test-ferment'
import { MATERIAL_KIND } from './materials'
import { ALCOHOLIC_WORD, CARE, CLOSURE, COST, EQUIPMENT_NAME, OBSERVATION, OPERATION, QUANTITY, STREAM, TAKEN } from './terms'

interface Format {
  volume: (l: number) => Shown
  mass: (kg: number) => Shown
  temperature: (c: number) => Shown
  words: (s: Shown) => string
}
type Names = {
  lot: (id: string) => string
  vessel: (id: string | undefined) => string
  instrument: (id: string) => string
  material: (key: string) => string
}

/** Whether must came with sulphite in it. */
const CAME = { yes: 'Came with sulphite', no: 'Came without sulphite', unknown: 'Perhaps came with sulphite' } as const

/** A ledger entry as a sentence that somebody would say. */
export function sayFact(fact: Fact, f: Format, names: Names): string {
  switch (fact.type) {
    case 'lot-started': {
      const isExpected = fact.volumeIs === 'expected'
      const litres = f.words(f.volume(fact.volumeL))
      const brought = fact.massKg ? `${f.words(f.mass(fact.massKg))} of fruit` : isExpected ? 'must' : litres
      const reckoned = isExpected ? `, about ${litres} of juice expected` : ''
      return `Started with ${brought}${reckoned}: `
        + `${STREAM[fact.stream].toLowerCase()}${fact.vesselId ? `, in ${names.vessel(fact.vesselId)}` : ''}.`
    }
    case 'reading':
      return sayReading(fact, f, names)
    case 'addition': {
      const plan =
        fact.planned !== undefined && Math.abs(fact.planned - fact.actual) > 0.0499
          ? ` (planned ${amountIn(Number(fact.planned.toPrecision(3)), fact.unit, f)})`
          : ''
      return `${amountIn(fact.actual, fact.unit, f)} of ${names.material(fact.material)} went `
        + `in${plan}${fact.purpose ? `, ${fact.purpose}` : ''}.`
    }
    case 'inoculation':
      return parts(
        `${fact.organism === 'yeast' ? 'Yeast' : 'Malolactic bacteria'} pitched`,
        fact.culture.toLowerCase() !== fact.organism && `: ${fact.culture.toLowerCase()}`,
        fact.grams && `, ${trim(fact.grams)} g`
      )
    case 'operation':
      return parts(
        OPERATION[fact.what],
        fact.protocol && `: ${sayProtocol(fact.protocol, f)}`,
        fact.note && `${fact.protocol ? '; ' : ': '}${fact.note}`
      )
    case 'observation':
      return `${OBSERVATION[fact.what]}: ${fact.text}`
    case 'transfer':
      if (fact.from.lotId !== fact.to.lotId) return sayBlend(fact, f, names)
      return parts(
        `${f.words(f.volume(fact.inL))} moved`,
        fact.from.vesselId && ` from ${names.vessel(fact.from.vesselId)}`,
        fact.to.vesselId && ` to ${names.vessel(fact.to.vesselId)}`,
        fact.outL - fact.inL > 0.05 && `, ${f.words(f.volume(fact.outL - fact.inL))} left behind`,
        fact.air === 'splashed' && ', with splashing'
      )
    case 'bottling':
      return parts(
        `Bottled: ${fact.bottles.map((b) => `${b.count} of ${b.sizeMl} mL`).join(', ')}`,
        fact.closure && `, ${CLOSURE[fact.closure].toLowerCase()}`,
        fact.place && `; ${fact.place}`
      )
    case 'bottle-taken':
      return `${fact.count} of ${fact.sizeMl} mL ${TAKEN[fact.what].toLowerCase()}${fact.note ? `: ${fact.note}` : ''}.`
    case 'tasting':
      return `Tasted, ${fact.rating} of 10: ${listOf('; ', fact.sight, fact.nose, fact.palate, fact.verdict,
        fact.faults?.length && sayFaults(fact.faults)) || 'no notes'}.`
    case 'cost':
      return `${COST[fact.what]}: ${fact.amount.toFixed(2)} paid${fact.note ? `, ${fact.note}` : ''}.`
    case 'vessel-cared':
      return `${names.vessel(fact.vesselId)} ${CARE[fact.what].toLowerCase()}${fact.note ? `: ${fact.note}` : ''}.`
    case 'vessel-amended':
      return `${names.vessel(fact.vesselId)} ${fact.retired ? 'out of use' : 'in use again'}${fact.note ? `: ${fact.note}` : ''}.`
    case 'air-read':
      return `${f.words(f.temperature(fact.celsius))} in the room beside ${names.vessel(fact.vesselId)}.`
    case 'vessel-added':
      return `Vessel ${fact.name}, ${f.words(f.volume(fact.capacityL))}.`
    case 'instrument-added':
      return `Instrument ${fact.name}.`
    case 'instrument-checked':
      return `${names.instrument(fact.instrumentId)} checked: ${sayCheck(fact)}${fact.adjusted ? ', adjusted' : ''}.`
    case 'arrival-expected':
      return `${fact.name} expected on ${sayDay(fact.on)}: ${STREAM[fact.stream].toLowerCase()}.`
    case 'block-added':
      return `Block ${fact.name}.`
    case 'block-sampled':
      return `Sampled: ${listOf(
        ', ',
        fact.brix !== undefined && `${trim(fact.brix)} °Brix`,
        fact.ph !== undefined && `pH ${fact.ph.toFixed(2)}`,
        fact.ta !== undefined && `TA ${fact.ta.toFixed(1)} g/L`,
        fact.taste
      )}.`
    case 'block-noted':
      return `Block note: ${fact.text}`
    case 'supply-stocked':
      return `${trim(fact.amount)} ${fact.unit} of ${names.material(fact.material)} added to the store.`
    case 'supply-counted':
      return `Counted in the store: ${trim(fact.left)} left.`
    case 'lot-planned':
      return sayPlan(fact)
    case 'plan-kept':
      return `Plan “${fact.name}” kept: ${planParts(fact.plan).join('; ') || 'the usual'}.`
    case 'lot-amended':
      return (
        [
          fact.name !== undefined && `Renamed ${fact.name}`,
          fact.alcoholic !== undefined && `Ferment marked by hand: ${ALCOHOLIC_WORD[fact.alcoholic]}`,
          fact.ended && 'None left',
          fact.sulphited && CAME[fact.sulphited],
          fact.sulphitedMgPerL !== undefined && `${trim(fact.sulphitedMgPerL)} mg/L of SO₂ in it on arrival`,
          fact.packets && `Packets: ${listOf(', ', ...fact.packets.map((p) => p.name)) || 'none'}`,
          fact.note
        ]
          .filter(Boolean)
          .join('; ') + '.'
      )
    case 'card-made':
      return `Own card: ${fact.name}, ${MATERIAL_KIND[fact.kind].toLowerCase()}.`
    case 'equipment-said':
      return [sayHeld(fact.has), sayReads(fact.reads)].filter(Boolean).join(' ')
    case 'task-ended':
      return `${sayTask(fact.task)}: ${sayOutcome(fact)}${fact.note ? `, ${fact.note}` : ''}.`
  }
}

type Part = string | number | false | undefined
/** A sentence of the parts that there are. */
const parts = (...of: Part[]): string => `${listOf('', ...of)}.`
const listOf = (between: string, ...of: Part[]): string => of.filter(Boolean).join(between)

/** What a check found: at each standard where these were noted, else the offset. */
export function sayCheck(check: Pick<Extract<Fact, { type: 'instrument-checked' }>, 'offset' | 'standards'>): string {
  if (check.standards?.length) return check.standards.map((s) => `shows ${trim(s.shown)} for ${trim(s.known)}`).join(', ')
  return check.offset === 0 ? 'correct' : `shows ${trim(Math.abs(check.offset))} too ${check.offset < 0 ? 'little' : 'much'}`
}

function sayOutcome({ outcome, task, until }: Extract<Fact, { type: 'task-ended' }>): string {
  switch (outcome) {
    case 'done':
      return 'done'
    case 'skipped':
      return task.startsWith('crush:') ? 'skipped' : 'put off'
    case 'moved':
      return until ? `moved to ${sayDayOf(until)}` : 'moved'
    case 'seen':
      return 'dismissed'
    case 'otherwise':
      return 'done another way'
    case 'was-so':
      return 'already done'
    case 'could-not':
      return 'could not be done'
    case 'not-wanted':
      return 'no longer wanted'
  }
}

const TASK: Record<string, string> = {
  'work-cap': 'Working the cap',
  'stir-must': 'Stirring',
  feed: 'Nutrient',
  press: 'Pressing',
  'sugar-step': 'Adding sugar in steps',
  'rack-gross-lees': 'Racking off the gross lees',
  'stir-lees': 'Stirring the fine lees',
  doubtful: 'A doubtful reading',
  'measure-must': 'Measuring the must',
  'sulphite-must': 'First sulphite',
  'correct-must': 'Correcting the must',
  'sulphite-low': 'Adding sulphite',
  pitch: 'Yeast',
  'read-ferment': 'Reading the ferment',
  'confirm-dry': 'Measuring free SO₂',
  'confirm-dryness': 'Second dry reading',
  'start-malolactic': 'Starting malolactic',
  'follow-malolactic': 'Checking malic acid',
  'check-sulphite': 'Checking free SO₂',
  'sulphite-after-malolactic': 'Sulphite after malolactic',
  malolactic: 'Malolactic',
  'held-up': 'What holds malolactic up',
  'malolactic-blocked': 'Blocked malolactic',
  'sulphite-odd': 'Odd free SO₂',
  'top-up': 'Topping up',
  'rack-again': 'Racking again',
  'look-at-clarity': 'Checking clarity',
  'top-barrel': 'Level of a barrel',
  'taste-bottle': 'Tasting a bottle',
  'lay-down': 'Laying the bottles down',
  'drink-up': 'Drinking it up',
  'settle': 'A condition for bottling',
  'bottle': 'Bottling',
  'smell-again': 'Smelling again',
  'smell-kept': 'Smelling and tasting',
  'free-before-bottle': 'Measuring free SO₂ before bottling',
  'sweeten': 'Sweetening',
  'remnant': 'Small rest',
  'shake-for-gas': 'Shaking a sample for gas',
  degas: 'Degassing',
  'taste-wood': 'Tasting for oak',
  'out-of-wood': 'Taking out the oak',
  'test': 'Stability test',
  'free-above-total': 'Free SO₂ above the total'
}
/**
 * "crush:settle" is a step left out, "crush-step:settle" one put off, "packet:2" the third packet of a kit, "test:press" a day of a
 * test ferment.
 */
function sayTask(task: string): string {
  if (task.startsWith('gate:')) return `${GATE[task.slice(5) as Gate]?.label ?? task} against what is open`
  if (task.startsWith('packet:')) return `Packet ${Number(task.slice(7)) + 1}`
  if (task.startsWith('test:')) return TEST_STEP[task.slice(5) as TestStep]?.title ?? task
  return /^(crush|crush-step|clock):/.test(task)
    ? (STEP[task.slice(task.indexOf(':') + 1) as CrushStepCode]?.title ?? task)
    : (TASK[task] ?? TASK[task.split(':')[0]!] ?? task)
}

const UNIT_BEHIND: Partial<Record<Fact['type'] | string, string>> = {
  brix: ' °Brix',
  ta: ' g/L',
  freeSo2: ' mg/L',
  totalSo2: ' mg/L',
  malic: ' g/L',
  yan: ' mg/L',
  sugar: ' g/L',
  abv: ' % vol'
}

type Reading = Extract<Fact, { type: 'reading' }>

function sayValue({ quantity }: Reading, value: number, f: Format): string {
  if (quantity === 'temperature') return f.words(f.temperature(value))
  if (quantity === 'volume') return f.words(f.volume(value))
  if (quantity === 'sg') return value.toFixed(3)
  return quantity === 'ta' ? `${value.toFixed(1)} g/L` : `${trim(value)}${UNIT_BEHIND[quantity] ?? ''}`
}

/** Behind a reading that counts as another value than was typed, and why; nothing where the difference could not be read. */
export function sayRestated(fact: Reading, is: number, f: Format, checked: string | undefined): string {
  const [read, counts] = [sayValue(fact, fact.value, f), sayValue(fact, Number(is.toPrecision(fact.quantity === 'brix' ? 3 : 4)), f)]
  const why = checked ? `by the check of ${checked}` : 'at its calibration temperature'
  return read === counts ? '' : ` Counts as ${counts}, ${why}.`
}

function sayReading(fact: Reading, f: Format, names: Names): string {
  const value = sayValue(fact, fact.value, f)
  const titrated = fact.titration
    ? `, ${trim(fact.titration.titrantMl)} mL of ${trim(fact.titration.normality)} N on ${trim(fact.titration.sampleMl)} mL`
    : ''
  const sample = fact.sampleC !== undefined ? `, sample at ${f.words(f.temperature(fact.sampleC))}` : ''
  const by = fact.instrumentId ? ` (${names.instrument(fact.instrumentId)})` : ''
  const name = QUANTITY[fact.quantity]
  return `${name.charAt(0).toUpperCase()}${name.slice(1)} ${value}${titrated}${sample}${by}.`.replace(/^PH/, 'pH')
}

/** Wine of one lot in another is said as what it is. */
function sayBlend(fact: Extract<Fact, { type: 'transfer' }>, f: Format, names: Names): string {
  const [from, to] = [names.lot(fact.from.lotId), names.lot(fact.to.lotId)]
  const into = fact.to.vesselId ? `, in ${names.vessel(fact.to.vesselId)}` : ''
  const left = fact.outL - fact.inL > 0.05 ? `; ${f.words(f.volume(fact.outL - fact.inL))} left behind` : ''
  return `${f.words(f.volume(fact.inL))} of ${from} blended into ${to}${into}${left}.`
}

/** Water and wine by the person's own measure; what a scale or a syringe gave as it was. */
const amountIn = (amount: number, unit: string, f: Pick<Format, 'volume' | 'words'>): string =>
  unit === 'L' ? f.words(f.volume(amount)) : `${trim(amount)} ${unit}`
const trim = (value: number): string => String(Number(value.toPrecision(4)))

/** By which rule, within a sentence. */
const sayProtocol = (protocol: keyof typeof PROTOCOL_WORDS, f: Format): string => {
  const label = PROTOCOL_WORDS[protocol].label.toLowerCase().replace(/°c/, '°C')
  return inDegrees(label, f.temperature(0).unit === '°F' ? '°F' : '°C')
}

const sayHeld = (has: Owned): string => {
  const held = Object.entries(has).map(([what, is]) => `${is ? '' : 'no '}${EQUIPMENT_NAME[what as Equipment]}`)
  return held.length > 0 ? `At hand: ${held.join(', ')}.` : ''
}
/** How exactly somebody reads, by what they read. */
const READS: Record<ReadByEye, { name: string, unit: string, decimals: number }> = {
  sg: { name: 'gravity', unit: '', decimals: 4 },
  ph: { name: 'pH', unit: '', decimals: 2 },
  ta: { name: 'TA', unit: ' g/L', decimals: 2 },
  freeSo2: { name: 'free SO₂', unit: ' mg/L', decimals: 1 }
}
function sayReads(reads: OwnErrors = {}): string {
  const said = Object.entries(reads).map(([what, off]) => {
    const { name, unit, decimals } = READS[what as ReadByEye]
    return `${name} ± ${off.toFixed(decimals)}${unit}`
  })
  return said.length > 0 ? `Read to within: ${said.join(', ')}.` : ''
}
