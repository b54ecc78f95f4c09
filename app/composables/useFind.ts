import { refDebounced } from '@vueuse/core'
import type { FindDocument, Found } from '~/find/finder'
import { entryDocument, lotDocument, pageDocuments, supplyDocument, vesselDocument, wordDocuments } from '~/find/documents'
import { GLOSSARY } from '~/wording/glossary'
import { PLACES } from '~/wording/places'
import { sayFact } from '~/wording/sentences'
import { finding } from '~/workers/start'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'

/** So many entries are put into words before the page may draw again. */
const AT_ONCE = 1500

/** Which cellar the index holds, and each document's text as it was put in: only what differs is sent again. */
let held: { cellar: string, texts: Map<string, string> } | undefined

/** What a line finds in the whole cellar. The index lives in a worker, and follows the ledger while the line is open. */
export function useFind(line: Ref<string>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const now = useNow()
  const materials = useMaterials()
  const story = useStory()
  const found = shallowRef<readonly Found[]>([])
  /** The lot whose name the first word nearly is. */
  const meant = shallowRef<{ typed: string, name: string }>()
  const ready = ref(false)

  async function bringUpToDate(): Promise<void> {
    if (held?.cellar !== cellar.which) held = undefined
    const texts = new Map<string, string>()
    const news: FindDocument[] = []
    const note = (d: FindDocument) => {
      const text = `${d.title}\n${d.text}\n${d.to}`
      texts.set(d.id, text)
      if (held?.texts.get(d.id) !== text) news.push(d)
    }
    for (const d of [...pageDocuments(PLACES), ...wordDocuments(GLOSSARY), ...cellar.lots.map(lotDocument)]) note(d)
    for (const v of cellar.state.vessels.values()) note(vesselDocument(v, v.lotId ? cellar.lotOf(v.lotId) : undefined))
    const stocked = new Set<string>()
    for (const [i, standing] of cellar.facts.entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await new Promise((go) => setTimeout(go))
      const { fact, struck } = standing
      if (struck) continue
      if (fact.type === 'supply-stocked') stocked.add(fact.material)
      note(entryDocument(standing, sayFact(fact, f, story.names), cellar.lotOf))
    }
    for (const material of stocked) note(supplyDocument(material, materials.name(material)))
    const gone = [...(held?.texts.keys() ?? [])].filter((id) => !texts.has(id))
    const fresh = !held
    if (fresh) finding.stop()
    held = { cellar: cellar.which, texts }
    await finding.call((remote) => remote.put(news))
    if (gone.length > 0) await finding.call((remote) => remote.drop(gone))
    ready.value = true
  }
  const update = () => bringUpToDate().catch(() => {
    // The finder died: the next time it begins anew, and the line still logs.
    held = undefined
    found.value = []
  })
  watch([() => cellar.facts, () => cellar.which], () => void update(), { immediate: true })

  const typed = refDebounced(line, 80)
  watch([typed, ready], async () => {
    const asked = typed.value.trim()
    if (asked.length < 2 || !ready.value) {
      found.value = []
      return
    }
    try {
      const [first = ''] = asked.split(/\s+/)
      const [hits, named] = await finding.call((remote) => Promise.all([remote.find(asked, now.value), remote.find(first, now.value)]))
      if (typed.value.trim() !== asked) return
      found.value = hits
      const near = named.find((hit) => hit.kind === 'lot')
      meant.value = near && { typed: first, name: near.title }
    }
    catch {
      held = undefined
      found.value = []
    }
  })
  return { found, meant, ready, isQuestion: (text: string) => /^(when|what|how|did|where|which|last|show)\b/i.test(text.trim()) }
}
