import type { Fact, LotView, StandingFact, VesselState } from '~~/core/ledger'
import type { GLOSSARY } from '~/wording/glossary'
import type { PLACES } from '~/wording/places'
import { sayMonthAndYear } from '~/wording/days'
import { STREAM, STYLE } from '~/wording/terms'
import type { FindDocument } from './finder'

/** What an entry is called in a question, where its own sentence does not say it. */
const ALSO: Partial<Record<Fact['type'], string>> = {
  'transfer': 'racked racking rack',
  'addition': 'added dosed gave',
  'inoculation': 'pitched inoculated',
  'reading': 'measured read reading',
  'bottling': 'bottles corked filled',
  'tasting': 'taste tasted rating',
  'vessel-cared': 'washed cleaned sanitised',
  'cost': 'price paid cost'
}

const lotIdsOf = (fact: Fact): string[] =>
  fact.type === 'transfer' ? [...new Set([fact.from.lotId, fact.to.lotId])] : 'lotId' in fact ? [fact.lotId] : []

/** One entry of the history: its sentence, and the words that somebody would ask for it by. */
export function entryDocument({ fact }: StandingFact, said: string, lotOf: (id: string) => LotView | undefined): FindDocument {
  const lots = lotIdsOf(fact).flatMap((id) => lotOf(id) ?? [])
  const [first] = lots
  return {
    id: `entry:${fact.id}`,
    kind: 'entry',
    title: said,
    text: [...lots.map((l) => `${l.name} ${STYLE[l.style]} ${STREAM[l.stream]}`), ALSO[fact.type], sayMonthAndYear(fact.at)]
      .filter(Boolean)
      .join(' '),
    to: first ? `/lots/${first.id}?entry=${fact.id}` : '/cellar',
    at: fact.at
  }
}

export const lotDocument = (lot: LotView): FindDocument => ({
  id: `lot:${lot.id}`, kind: 'lot', title: lot.name, text: `${STYLE[lot.style]} ${STREAM[lot.stream]} lot`, to: `/lots/${lot.id}`
})

export const vesselDocument = (vessel: VesselState, holds: LotView | undefined): FindDocument => ({
  id: `vessel:${vessel.id}`, kind: 'vessel', title: vessel.name, text: holds ? `vessel with ${holds.name}` : 'vessel empty',
  to: holds ? `/lots/${holds.id}` : '/cellar'
})

export const pageDocuments = (places: typeof PLACES): FindDocument[] => places.map((p) => ({
  id: `page:${p.to}`, kind: 'page', title: p.label, text: p.words.join(' '), to: p.to
}))

export const wordDocuments = (words: typeof GLOSSARY): FindDocument[] => Object.entries(words).map(([key, { name, says }]) => ({
  id: `word:${key}`, kind: 'word', title: name, text: says, to: `/words#${key}`
}))

export const supplyDocument = (material: string, name: string): FindDocument => ({
  id: `supply:${material}`, kind: 'supply', title: name, text: 'in the store', to: '/stores/supplies'
})
