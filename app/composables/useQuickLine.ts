import type { Draft, Fact, LotView } from '~~/core/ledger'
import { overUsual } from '~~/core/materials'
import { likely } from '~~/core/quantities'
import { type MoveWants, quickDrafts, readQuickLine } from '~~/core/quick'
import { type Place, PLACES } from '~/wording/places'
import { sayLikelihood, sayOverUsual } from '~/wording/problems'
import { sayFact } from '~/wording/sentences'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** The quick line as it is typed: where it leads, or what it would log, and what is still in the way. */
export function useQuickLine() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const materials = useMaterials()
  const f = useFormat()
  const now = useNow()
  const line = ref('')
  /** Which of several lots of one name. */
  const chosen = ref<string>()
  watch(line, () => {
    chosen.value = undefined
  })

  const understand = (text: string) =>
    readQuickLine(text, {
      lots: cellar.lots.map((l) => ({ id: l.id, name: l.name })),
      vessels: [...cellar.state.vessels.values()],
      instruments: [...cellar.state.instruments.values()],
      cards: materials.own.value,
      temperature: settings.values.temperature,
      gallon: settings.gallon,
      salt: settings.values.salt,
      spoons: settings.values.spoons,
      now: new Date(now.value)
    })
  const isLotAlone = (text: string): boolean => {
    const { lotIds, at, move, instrumentId, ...parts } = understand(text)
    return lotIds.length > 0 && !at && !move && !instrumentId && Object.values(parts).every((list) => list.length === 0)
  }
  /** A place is named alone, or with one lot before or after it; with a number beside it, it is something that went in. */
  const place = computed<Place | undefined>(() => {
    const typed = line.value.trim().toLowerCase().replace(/\s+/g, ' ')
    const names = PLACES.flatMap((p) => p.words.map((word) => ({ word, place: p }))).sort((a, b) => b.word.length - a.word.length)
    return names.find(({ word, place: { ofLot } }) => {
      if (typed === word) return true
      if (!ofLot) return false
      if (typed.startsWith(`${word} `)) return isLotAlone(typed.slice(word.length))
      return typed.endsWith(` ${word}`) && isLotAlone(typed.slice(0, -word.length))
    })?.place
  })
  const read = computed(() => {
    const { words = [] } = place.value ?? {}
    const typed = line.value.trim()
    const word = words.find((w) => typed.toLowerCase().startsWith(w)) ?? words.find((w) => typed.toLowerCase().endsWith(w))
    if (word === undefined) return understand(typed)
    return understand(typed.toLowerCase().startsWith(word) ? typed.slice(word.length) : typed.slice(0, -word.length))
  })
  const lots = computed(() => read.value.lotIds.flatMap((id) => cellar.lotOf(id) ?? []))
  const lot = computed<LotView | undefined>(() =>
    lots.value.length === 1 ? lots.value[0] : lots.value.find((l) => l.id === chosen.value)
  )
  const logs = computed<{ drafts: Draft<Fact>[], moveWants?: MoveWants }>(() =>
    lot.value && !place.value ? quickDrafts(read.value, lot.value, cellar.state, materials.own.value) : { drafts: [] }
  )
  /** A lot and nothing else: its page. */
  const opensLot = computed(() => !place.value && lot.value !== undefined && isLotAlone(line.value))

  const names = {
    lot: (id: string) => cellar.lotOf(id)?.name ?? '',
    vessel: (id: string | undefined) => (id && cellar.state.vessels.get(id)?.name) || '',
    instrument: (id: string) => cellar.state.instruments.get(id)?.name ?? '',
    material: materials.name
  }
  const understood = computed(() =>
    logs.value.drafts.map((d) => sayFact({ ...d, id: '', device: '', at: '', written: '' } as Fact, f, names))
  )
  const doubts = computed(() =>
    read.value.readings.flatMap((r) => {
      const verdict = likely(r.quantity, r.value)
      if (verdict.verdict === 'fine') return []
      return [{ text: f.degrees(sayLikelihood(r.quantity, r.value, verdict)), refuse: verdict.verdict === 'refuse' }]
    })
  )
  /** Amounts that look like a slipped digit; they can be logged, because what went in went in. */
  const large = computed(() =>
    read.value.additions.flatMap(({ material, amount, stock }) => {
      const card = materials.card(material)
      const grams = stock ? (amount / 1000) * (card?.stockGPerL ?? 0) : amount
      const over = card && lot.value && overUsual(card, grams, lot.value.volume.value)
      return over ? [sayOverUsual(materials.name(material), card.unit, over)] : []
    })
  )
  const future = computed(() => (read.value.at ?? '') > now.value)
  const ready = computed(
    () =>
      logs.value.drafts.length > 0 &&
      !logs.value.moveWants &&
      !future.value &&
      read.value.secondLot === undefined &&
      read.value.unclear.length === 0 &&
      !doubts.value.some((d) => d.refuse)
  )
  /** Where "Go" leads: the place that was named, or the lot's own page. */
  const goesTo = computed(() => {
    if (place.value) return place.value.ofLot && lot.value ? `${place.value.to}?lot=${lot.value.id}` : place.value.to
    return opensLot.value ? `/lots/${lot.value!.id}` : undefined
  })
  return { line, chosen, place, read, lots, lot, logs, understood, doubts, large, future, ready, goesTo }
}
