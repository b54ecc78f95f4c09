import { type MaterialCard, MATERIALS } from '../materials'
import { TEASPOON_ML } from '../units'
import type { Amount } from './amounts'
import type { QuickLine, Reading, Step } from './line'
import { PITCHED_NAMES, longest } from './names'
import { STOCK, SULPHITE } from './words'

interface Mentioned {
  card: MaterialCard
  name: string
  used: number
  /** Its stock solution is meant. */
  stock: boolean
}

/** "2 g of tartaric", "15 mL sulphite stock"; litres behind a move are what was moved. */
export const weighed: Step = (reading) => {
  const { cursor, found } = reading
  const amount = cursor.amount(cursor.at)
  if (!amount) return false
  const next = cursor.past(cursor.at + amount.used)
  const what = mentionedAt(reading, next)
  cursor.at = what ? next + what.used : cursor.at + amount.used
  if (what) put(reading, what, amount)
  else if (amount.of === 'tablets') put(reading, { card: MATERIALS[reading.context.salt], name: 'sulphite', used: 0, stock: false }, amount)
  else if (amount.of === 'volume' && found.move && found.move.litres === undefined) found.move.litres = amount.value
  else found.unclear.push(amount.typed)
  return true
}

/** "sulphite 2 g", "water 3 L"; a material without an amount is not clear. */
export const material: Step = (reading) => {
  const { cursor, found } = reading
  const what = mentionedAt(reading, cursor.at)
  if (!what) return false
  const next = cursor.past(cursor.at + what.used)
  const amount = cursor.amount(next)
  if (amount) put(reading, what, amount)
  else found.unclear.push(what.name)
  cursor.at = amount ? next + amount.used : cursor.at + what.used
  return true
}

/** "yeast in", "pitched 8 g" and a culture of one's own. Grams before another material are that one's. */
export const pitched: Step = (reading) => {
  const { cursor, found, materials } = reading
  const hit = longest(cursor.ahead, PITCHED_NAMES)
  if (!hit) return false
  const organism = hit.hit.value
  const first = cursor.past(cursor.at + hit.used)
  const amount = cursor.amount(first)
  const behind = amount ? cursor.past(first + amount.used) : first
  const another = amount && mentionedAt(reading, behind)
  const grams = amount && (!another || another.card.kind === organism) ? gramsOfCulture(amount) : undefined
  const next = grams === undefined ? first : behind
  const culture = longest(cursor.from(next), materials.filter((m) => m.card.kind === organism))
  cursor.at = culture ? next + culture.used : grams === undefined ? cursor.at + hit.used : next
  pitch(found, organism, culture?.hit.card, grams)
  return true
}

function pitch(found: QuickLine, organism: 'yeast' | 'bacteria', card: MaterialCard | undefined, grams: number | undefined): void {
  found.pitched.push({
    organism,
    culture: card?.name ?? organism,
    ...(card?.name && { cardKey: card.key }),
    ...(grams !== undefined && { grams })
  })
}

/** A home packet of dry yeast or bacteria, g: common practice, no source; the person sees the grams before they are logged. */
const PACKET_G = 5
const gramsOfCulture = ({ of, value }: Amount): number | undefined =>
  of === 'mass' ? value : of === 'packets' ? value * PACKET_G : undefined

/** A flat sulphite tablet, g: common practice, no source; the bench asks for one's own. */
const TABLET_G = 0.44

/** What was counted, as it would be weighed or measured; undefined where nobody knows what a spoon or a packet of it holds. */
function asMeasured(amount: Amount, card: MaterialCard, context: Reading['context']): Amount | undefined {
  if (amount.of === 'mass' || amount.of === 'volume') return amount
  if (amount.of === 'tablets')
    return card.key.endsWith('metabisulphite') ? { ...amount, of: 'mass', value: amount.value * TABLET_G } : undefined
  if (amount.of === 'packets') return undefined
  if (card.unit !== 'g') return { ...amount, of: 'volume', value: (amount.value * TEASPOON_ML) / 1000 }
  const spoonG = context.spoons?.[card.key] ?? card.spoonG
  return spoonG === undefined ? undefined : { ...amount, of: 'mass', value: amount.value * spoonG }
}

function put({ found, context }: Reading, { card, name, stock }: Mentioned, typed: Amount): void {
  if (card.kind === 'yeast' || card.kind === 'bacteria') {
    pitch(found, card.kind, card, gramsOfCulture(typed))
    return
  }
  const amount = asMeasured(typed, card, context)
  if (!amount) {
    found.unclear.push(`${typed.typed} ${name}`)
    return
  }
  const byVolume = stock || card.unit === 'mL' || card.unit === 'L'
  if (card.unit === 'pieces' || (amount.of === 'volume') !== byVolume) {
    found.unclear.push(`${amount.typed} ${name}`)
    return
  }
  const inUnit = byVolume && card.unit !== 'L' ? amount.value * 1000 : amount.value
  found.additions.push({ material: card.key, amount: inUnit, stock })
}

/** A card named at a place; a bare "sulphite" is the person's salt. */
function mentionedAt({ cursor, materials, context }: Reading, at: number): Mentioned | undefined {
  const words = cursor.from(at)
  const named = longest(words, materials)
  if (!named && !(SULPHITE as readonly string[]).includes(words[0] ?? '')) return undefined
  const used = named?.used ?? 1
  const stock = (STOCK as readonly string[]).includes(words[used] ?? '')
  return {
    card: named?.hit.card ?? MATERIALS[context.salt],
    name: words.slice(0, used).join(' '),
    used: used + (stock ? 1 : 0),
    stock
  }
}
