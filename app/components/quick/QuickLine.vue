<script setup lang="ts">
import { likely } from '~~/core/quantities'
import { type Draft, type Fact, readQuickLine } from '~~/core/ledger'
import { sayLikelihood } from '~/wording/problems'
import { sayFact } from '~/wording/sentences'

const open = defineModel<boolean>('open', { required: true })
const cellar = useCellarStore()
const settings = useSettingsStore()
const f = useFormat()
const logged = useLogged()
const line = ref('')

const GOING = [
  { words: ['new lot', 'start a lot'], to: () => '/lots/new', label: 'Start a lot' },
  { words: ['measure'], to: (id?: string) => `/bench/measure${id ? `?lot=${id}` : ''}`, label: 'Measure' },
  { words: ['sulphite', 'sulfite', 'so2'], to: (id?: string) => `/bench/sulphite${id ? `?lot=${id}` : ''}`, label: 'Sulphite' },
  { words: ['export', 'import', 'settings', 'stores'], to: () => '/stores', label: 'Stores' },
  { words: ['vessel', 'cellar'], to: () => '/cellar', label: 'Cellar' }
]
const going = computed(() =>
  GOING.find((g) => g.words.some((w) => ` ${line.value.toLowerCase()} `.includes(` ${w} `) || line.value.toLowerCase().trim() === w))
)
/** A place to go is named before or after the lot; what is left is the lot. */
const withoutPlace = computed(() =>
  (going.value?.words ?? []).reduce((text, word) => text.replace(new RegExp(`\\b${word}\\b`, 'i'), ' '), line.value)
)
const read = computed(() =>
  readQuickLine(withoutPlace.value, {
    lots: cellar.lots.map((l) => ({ id: l.id, name: l.name })),
    vessels: [...cellar.state.vessels.values()].map((v) => ({ name: v.name, ...(v.lotId && { lotId: v.lotId }) })),
    temperature: settings.values.temperature,
    gallon: settings.gallon
  })
)
const lots = computed(() => read.value.lotIds.map((id) => cellar.lotOf(id)!).filter(Boolean))
const lot = computed(() => (lots.value.length === 1 ? lots.value[0] : undefined))
const drafts = computed<Draft<Fact>[]>(() => {
  const lotId = lot.value?.id
  if (!lotId || going.value) return []
  const sample = read.value.readings.find((r) => r.quantity === 'temperature')
  return [
    ...read.value.readings.map((r) => ({
      type: 'reading' as const,
      lotId,
      quantity: r.quantity,
      typed: r.typed,
      value: r.value,
      ...((r.quantity === 'sg' || r.quantity === 'brix') && sample && { sampleC: sample.value })
    })),
    ...read.value.additions.map((a) => ({ type: 'addition' as const, lotId, material: a.material, unit: 'g' as const, actual: a.grams })),
    ...read.value.operations.map((what) => ({ type: 'operation' as const, lotId, what })),
    ...read.value.observations.map((o) => ({ type: 'observation' as const, lotId, what: o.what, text: o.text }))
  ]
})
const materials = useMaterials()
const names = { lot: () => '', vessel: () => '', instrument: () => '', material: materials.name }
const understood = computed(() => drafts.value.map((d) => sayFact({ ...d, id: '', device: '', at: '', written: '' } as Fact, f, names)))
const doubts = computed(() =>
  read.value.readings.flatMap((r) => {
    const verdict = likely(r.quantity, r.value)
    return verdict.verdict === 'fine' ? [] : [{ text: sayLikelihood(r.quantity, r.value, verdict), refuse: verdict.verdict === 'refuse' }]
  })
)
const refused = computed(() => doubts.value.some((d) => d.refuse))

const entry = useTemplateRef<{ inputRef: HTMLInputElement }>('entry')
/** The line, not the closing button, is where typing goes. */
function focusLine(event: Event) {
  event.preventDefault()
  entry.value?.inputRef?.focus()
}

async function confirm() {
  if (going.value) {
    open.value = false
    await navigateTo(going.value.to(lot.value?.id))
    line.value = ''
    return
  }
  if (!lot.value || drafts.value.length === 0 || refused.value) return
  if (!(await cellar.log(drafts.value))) return
  logged(`Logged for ${lot.value.name}`)
  line.value = ''
  open.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Quick line"
    description="Type a lot and what you read or did."
    :content="{ onOpenAutoFocus: focusLine }"
  >
    <template #body>
      <form novalidate class="quick" @submit.prevent="confirm">
        <UInput
          ref="entry"
          v-model="line"
          aria-label="A reading or a move"
          autocomplete="off"
          autocapitalize="none"
          spellcheck="false"
          placeholder="tempranillo 12.4 brix 26C smells fine"
          :ui="{ base: 'h-14 text-xl' }"
        />
        <div aria-live="polite" class="out">
          <p v-if="going">
            <b>Go to {{ going.label }}</b
            ><template v-if="lot"> for {{ lot.name }}</template>
          </p>
          <template v-else-if="line.trim()">
            <p v-if="lot">
              <b class="display name">{{ lot.name }}</b>
            </p>
            <p v-else-if="lots.length > 1">Which one? {{ lots.map((l) => l.name).join(' or ') }}</p>
            <p v-else>No lot or vessel begins like that.</p>
            <ul v-if="understood.length">
              <li v-for="(text, i) in understood" :key="i">{{ text }}</li>
            </ul>
            <p v-for="d in doubts" :key="d.text" :class="d.refuse ? 'message' : 'soft'">{{ d.text }}</p>
            <p v-if="read.unclear.length" class="soft">
              Not clear what {{ read.unclear.join(' and ') }} is. Say “brix”, “pH”, “TA”, “free” beside it.
            </p>
          </template>
          <p v-else class="soft">
            A lot or vessel, then what you read: <b>barbera 1.012 24.5</b>, <b>grenache free 28</b>,
            <b>white pail stirred smells of bread</b>. Or a place to go: <b>sulphite tempranillo</b>, <b>new lot</b>.
          </p>
        </div>
        <UButton type="submit" size="xl" block :disabled="!going && (drafts.length === 0 || refused)">{{
          going ? 'Go' : lot && drafts.length ? `Log for ${lot.name}` : 'Log'
        }}</UButton>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.quick {
  display: grid;
  gap: 14px;
}
.out {
  min-height: 110px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.out li {
  border-top: 1.5px solid var(--line);
  padding: 6px 0;
}
.name {
  font-size: 1.3rem;
}
</style>
