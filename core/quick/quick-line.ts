import type { EntryOf, ReadingQuantity } from '../ledger'
import { type MaterialCard, type OwnCards, MATERIALS } from '../materials'
import { quantityTyped } from '../quantities'
import { type Gallon, readNumber, toCelsius } from '../units'
import { type Amount, amountAt } from './amounts'
import { type Named, lotNamed, plain } from './lot-named'
import { type When, instantOf, whenSaid } from './when'
import { INSTRUMENT_NAMES, MOVE_NAMES, OPERATION_NAMES, PITCHED_NAMES, longest, namesOf, tidy } from './names'
import { JOINING, OBSERVATIONS, OWN_UNITS, STOCK, SULPHITE, UNIT_OF_READING } from './words'

export interface QuickLine {
  /** The lots that the words can mean; one is what it should be. */
  lotIds: string[]
  /** The instant that was said, ISO UTC; none is now. */
  at?: string
  readings: { quantity: ReadingQuantity, value: number, typed: string }[]
  instrumentId?: string
  /** In the card's unit, of a stock solution mL. */
  additions: { material: string, amount: number, stock: boolean }[]
  pitched: { organism: 'yeast' | 'bacteria', culture: string, cardKey?: string, grams?: number }[]
  operations: EntryOf<'operation'>['what'][]
  move?: { purpose: 'rack' | 'press', toVesselId?: string, litres?: number, leesL?: number }
  observations: { what: EntryOf<'observation'>['what'], text: string }[]
  /** What is understood in part only: numbers that could be anything, a material without its amount. */
  unclear: string[]
  /** Words that mean nothing here. */
  unknown: string[]
}
export interface QuickContext extends Named {
  instruments: readonly { id: string, name: string, kind: string }[]
  cards?: OwnCards
  temperature: '°C' | '°F'
  gallon?: Gallon | undefined
  /** What a bare "sulphite" means. */
  salt: 'potassium-metabisulphite' | 'sodium-metabisulphite'
  now: Date
}
/**
 * Understands a typed line: a lot (or the vessel it is in), when it was, then readings, additions, work and moves in any order, then
 * what was smelled or tasted. Nothing is logged here; what was understood is shown first, and no word is dropped.
 * @param line as typed
 * @param context what there is in the cellar, the person's units and clock
 * @returns what was understood, and what was not
 * @example readQuickLine('tempranillo yesterday 12.4 brix 26C smells fine', context).readings // brix 12.4, temperature 26
 */
export function readQuickLine(line: string, context: QuickContext): QuickLine {
  const words = line.split(/\s+/).filter((w) => w !== '')
  const { lotIds, rest } = lotNamed(words, context, means)
  return new Reader(rest, context).read(lotIds)
}

/** Whether a word has a meaning of its own. */
const means = (word: string): boolean =>
  /^[-+.\d]/.test(word) ||
  [OPERATION_NAMES, PITCHED_NAMES, MOVE_NAMES, INSTRUMENT_NAMES].some((names) => longest([word], names)) ||
  word in OBSERVATIONS ||
  (SULPHITE as readonly string[]).includes(word) ||
  quantityTyped(word) !== undefined

class Reader {
  private readonly words: string[]
  private readonly materials: ReturnType<typeof namesOf>
  private readonly found: QuickLine = {
    lotIds: [],
    readings: [],
    additions: [],
    pitched: [],
    operations: [],
    observations: [],
    unclear: [],
    unknown: []
  }

  private when: When = {}
  private at = 0

  constructor(
    private readonly typed: readonly string[],
    private readonly context: QuickContext
  ) {
    this.words = typed.map(tidy)
    this.materials = namesOf(context.cards)
  }

  read(lotIds: string[]): QuickLine {
    const first = [this.time, this.work, this.move, this.vessel, this.instrument, this.named]
    const steps = [...first, this.weighed, this.pitched, this.material, this.number]
    while (this.at < this.words.length) {
      if (this.observation()) break
      if (!steps.some((step) => step.call(this))) this.keepUnknown()
    }
    const at = instantOf(this.when, this.context.now)
    return { ...this.found, lotIds, ...(at && { at }) }
  }

  private get ahead(): string[] {
    return this.words.slice(this.at)
  }

  /** A word that means nothing here is kept and said, unless it only joins others. */
  private keepUnknown(): void {
    if (!JOINING.has(this.words[this.at]!)) this.found.unknown.push(this.typed[this.at]!)
    this.at += 1
  }

  private observation(): boolean {
    const what = OBSERVATIONS[this.words[this.at]!]
    if (!what) return false
    this.found.observations.push({ what, text: this.typed.slice(this.at + 1).join(' ') || this.typed[this.at]! })
    return true
  }

  private time(): boolean {
    const said = whenSaid(this.ahead, this.context.now)
    if (!said) return false
    this.when = { ...this.when, ...said.when }
    this.at += said.used
    return true
  }

  private work(): boolean {
    const hit = longest(this.ahead, OPERATION_NAMES)
    if (!hit) return false
    this.found.operations.push(hit.hit.value)
    this.at += hit.used
    return true
  }

  private move(): boolean {
    const hit = longest(this.ahead, MOVE_NAMES)
    if (!hit) return false
    this.found.move = { purpose: hit.hit.value }
    this.at += hit.used
    return true
  }

  /** A vessel is where it was moved to, and how much was left behind may follow. */
  private vessel(): boolean {
    const { move } = this.found
    if (!move) return false
    if (/^(leaving|left|lost|lees)$/.test(this.words[this.at]!)) {
      const amount = this.amount(this.at + 1)
      if (amount?.of !== 'volume') return false
      move.leesL = amount.value
      this.at += 1 + amount.used
      if (this.words[this.at] === 'lees') this.at += 1
      return true
    }
    const hit = longest(this.ahead, this.context.vessels.map((v) => ({ name: plain(v.name), id: v.id })))
    if (!hit) return false
    move.toVesselId = hit.hit.id
    this.at += hit.used
    return true
  }

  private instrument(): boolean {
    const own = longest(this.ahead, this.context.instruments.map((i) => ({ name: plain(i.name), id: i.id })))
    const usual = own ? undefined : longest(this.ahead, INSTRUMENT_NAMES)
    const ofKind = usual ? this.context.instruments.filter((i) => i.kind === usual.hit.value) : []
    const hit = own ?? usual
    if (!hit) return false
    if (own) this.found.instrumentId = own.hit.id
    else if (ofKind.length === 1) this.found.instrumentId = ofKind[0]!.id
    else this.found.unclear.push(this.typed.slice(this.at, this.at + hit.used).join(' '))
    this.at += hit.used
    return true
  }

  /** A quantity by its name: "free 28", "ta 0.75 %", "volume 18 L". */
  private named(): boolean {
    const quantity = quantityTyped(this.words[this.at]!)
    if (!quantity) return false
    const next = this.past(this.at + 1)
    const split = /^([-+]?\d[\d.,]*)(.*)$/.exec(this.words[next] ?? '')
    if (!split) return false
    const unit = split[2] || this.words[next + 1] || ''
    const litres = quantity === 'volume' ? this.amount(next) : undefined
    if (litres?.of === 'volume') {
      this.found.readings.push({ quantity, value: litres.value, typed: litres.typed })
      this.at = next + litres.used
      return true
    }
    this.reading(quantity, split[1]!, unit)
    this.at = next + (split[2] || !OWN_UNITS.test(unit) ? 1 : 2)
    return true
  }

  /** "2 g of tartaric", "15 mL sulphite stock", "18 L". */
  private weighed(): boolean {
    const amount = this.amount(this.at)
    if (!amount) return false
    const next = this.past(this.at + amount.used)
    const hit = this.materialAt(next)
    this.at = hit ? next + hit.used : this.at + amount.used
    if (hit) this.put(hit.card, amount, hit.stock, hit.name)
    else if (amount.of === 'volume' && this.found.move && this.found.move.litres === undefined) this.found.move.litres = amount.value
    else this.found.unclear.push(amount.typed)
    return true
  }

  private pitched(): boolean {
    const hit = longest(this.ahead, PITCHED_NAMES)
    if (!hit) return false
    const organism = hit.hit.value
    let next = this.past(this.at + hit.used)
    const amount = this.amount(next)
    if (amount?.of === 'mass') next = this.past(next + amount.used)
    const culture = longest(this.words.slice(next), this.materials.filter((m) => m.card.kind === organism))
    this.at = culture ? next + culture.used : amount?.of === 'mass' ? next : this.at + hit.used
    this.pitch(culture?.hit.card, organism, amount?.of === 'mass' ? amount.value : undefined)
    return true
  }

  private pitch(card: MaterialCard | undefined, organism: 'yeast' | 'bacteria', grams: number | undefined): void {
    this.found.pitched.push({
      organism,
      culture: card?.name ?? organism,
      ...(card?.name && { cardKey: card.key }),
      ...(grams !== undefined && { grams })
    })
  }

  /** "sulphite 2 g", "water 3 L"; a material without an amount is not clear. */
  private material(): boolean {
    const hit = this.materialAt(this.at)
    if (!hit) return false
    const next = this.past(this.at + hit.used)
    const amount = this.amount(next)
    if (amount) this.put(hit.card, amount, hit.stock, hit.name)
    else this.found.unclear.push(hit.name)
    this.at = amount ? next + amount.used : this.at + hit.used
    return true
  }

  private put(card: MaterialCard, amount: Amount, stock: boolean, name: string): void {
    if (card.kind === 'yeast' || card.kind === 'bacteria') {
      this.pitch(card, card.kind, amount.of === 'mass' ? amount.value : undefined)
      return
    }
    const byVolume = stock || card.unit === 'mL' || card.unit === 'L'
    if (card.unit === 'pieces' || (amount.of === 'volume') !== byVolume) {
      this.found.unclear.push(`${amount.typed} ${name}`)
      return
    }
    const value = byVolume && card.unit !== 'L' ? amount.value * 1000 : amount.value
    this.found.additions.push({ material: card.key, amount: value, stock })
  }

  /** A number with its unit, or alone: a gravity shows itself by its size and decimals, a second number is its temperature. */
  private number(): boolean {
    const split = /^([-+]?\d[\d.,]*)(.*)$/.exec(this.words[this.at]!)
    const number = split && readNumber(split[1]!)
    if (!split || !number?.ok) return false
    const unit = split[2] || this.words[this.at + 1] || ''
    const quantity = UNIT_OF_READING[unit]
    const { readings } = this.found
    if (quantity) this.reading(quantity, split[1]!, unit)
    else if (split[2]) this.found.unclear.push(this.typed[this.at]!)
    else if (looksLikeGravity(number)) this.reading('sg', split[1]!, '')
    else if (readings.some((r) => r.quantity === 'sg' || r.quantity === 'brix') && !readings.some((r) => r.quantity === 'temperature'))
      this.reading('temperature', split[1]!, this.context.temperature)
    else this.found.unclear.push(split[1]!)
    this.at += quantity && !split[2] ? 2 : 1
    return true
  }

  private reading(quantity: ReadingQuantity, typed: string, unit: string): void {
    const number = readNumber(typed)
    if (!number.ok) return
    const fahrenheit = /f$/i.test(unit) || (this.context.temperature === '°F' && !/c$/i.test(unit))
    const value =
      quantity === 'temperature'
        ? toCelsius(number.value, fahrenheit ? '°F' : '°C')
        : quantity === 'sg' && number.value > 900
          ? number.value / 1000
          : quantity === 'ta' && unit === '%'
            ? number.value * 10
            : number.value
    this.found.readings.push({ quantity, value, typed })
  }

  /** The place of the next word that is not only a joint. */
  private past(at: number): number {
    let next = at
    while (next < this.words.length && JOINING.has(this.words[next]!)) next += 1
    return next
  }

  private amount(at: number): Amount | undefined {
    return amountAt(this.words, at, this.context.gallon)
  }

  /** A card named at a place, and whether its stock solution is meant. */
  private materialAt(at: number): { card: MaterialCard, name: string, used: number, stock: boolean } | undefined {
    const words = this.words.slice(at)
    const sulphite = (SULPHITE as readonly string[]).includes(words[0] ?? '')
    const named = longest(words, this.materials)
    if (!sulphite && !named) return undefined
    const used = named?.used ?? 1
    const stock = (STOCK as readonly string[]).includes(words[used] ?? '')
    return {
      card: named?.hit.card ?? MATERIALS[this.context.salt],
      name: words.slice(0, used).join(' '),
      used: used + (stock ? 1 : 0),
      stock
    }
  }
}

const looksLikeGravity = ({ value, decimals }: { value: number, decimals: number }): boolean =>
  (value >= 0.98 && value <= 1.2 && decimals >= 3) || (decimals === 0 && value >= 980 && value <= 1200)
