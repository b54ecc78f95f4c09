<script setup lang="ts">
import type { Draft, EntryOf, Fact, LotState } from '~~/core/ledger'
import { MATERIAL, OBSERVATION, OPERATION } from '~/wording/terms'

const props = defineProps<{ lot: LotState }>()

const cellar = useCellarStore()
const route = useRoute()
const toast = useToast()
const KINDS = { note: 'Observation', yeast: 'Yeast or bacteria', addition: 'Addition', operation: 'Work done' } as const
type Kind = keyof typeof KINDS

const kind = ref<Kind>(route.query.log === 'yeast' ? 'yeast' : 'note')
const what = ref<EntryOf<'observation'>['what']>('note')
const text = ref('')
const organism = ref<'yeast' | 'bacteria'>('yeast')
const culture = ref('')
const operation = ref<EntryOf<'operation'>['what']>('punch-down')
const material = ref('tartaric')
const grams = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000.' } })
const problem = ref<string>()
const unit = computed(() => material.value === 'water' ? 'L' as const : 'g' as const)
const materials = Object.entries(MATERIAL).filter(([key]) => !key.includes('sulphite'))

function draft(): Draft<Fact> | string {
  const lotId = props.lot.id
  const note = text.value.trim().slice(0, 2000)
  switch (kind.value) {
    case 'note': return note ? { type: 'observation', lotId, what: what.value, text: note } : 'Write a word or two.'
    case 'yeast': return culture.value.trim()
      ? { type: 'inoculation', lotId, organism: organism.value, culture: culture.value.trim().slice(0, 80), ...(grams.value && { grams: grams.value }) }
      : 'Say which culture it was, in your own words.'
    case 'operation': return { type: 'operation', lotId, what: operation.value, ...(note && { note }) }
    case 'addition': return grams.value
      ? { type: 'addition', lotId, material: material.value, unit: unit.value, actual: grams.value }
      : 'Say how much went in.'
  }
}

async function log() {
  grams.touch()
  const made = draft()
  problem.value = typeof made === 'string' ? made : undefined
  if (typeof made === 'string' || !grams.ok) return
  if (!await cellar.log([made])) return
  text.value = ''
  culture.value = ''
  grams.clear()
  toast.add({ title: 'Logged', color: 'primary', actions: [{ label: 'Undo', onClick: () => void cellar.undo() }] })
}
</script>

<template>
  <form novalidate class="entry" @submit.prevent="log">
    <h2 class="sr-only">Log something</h2>
    <div class="kinds" role="radiogroup" aria-label="What to log">
      <label v-for="(label, key) in KINDS" :key="key" class="kind"><input v-model="kind" type="radio" name="kind" :value="key" class="sr-only">{{ label }}</label>
    </div>
    <div class="fields">
      <template v-if="kind === 'note'">
        <div class="text"><label for="entry-what">What</label><select id="entry-what" v-model="what"><option v-for="(label, key) in OBSERVATION" :key="key" :value="key">{{ label }}</option></select></div>
        <div class="text wide"><label for="entry-text">In a few words</label><input id="entry-text" v-model="text" type="text" maxlength="2000" autocomplete="off"></div>
      </template>
      <template v-else-if="kind === 'yeast'">
        <div class="text"><label for="entry-organism">What</label><select id="entry-organism" v-model="organism"><option value="yeast">Yeast</option><option value="bacteria">Malolactic bacteria</option></select></div>
        <div class="text wide"><label for="entry-culture">Culture</label><input id="entry-culture" v-model="culture" type="text" maxlength="80" autocomplete="off" placeholder="as you call it"></div>
        <QuantityField label="Weight" :field="grams" unit-label="g" />
      </template>
      <template v-else-if="kind === 'addition'">
        <div class="text wide"><label for="entry-material">What went in</label><select id="entry-material" v-model="material"><option v-for="[key, label] in materials" :key="key" :value="key">{{ label }}</option></select></div>
        <QuantityField label="How much" :field="grams" :unit-label="unit" />
      </template>
      <template v-else>
        <div class="text"><label for="entry-operation">What was done</label><select id="entry-operation" v-model="operation"><option v-for="(label, key) in OPERATION" :key="key" :value="key">{{ label }}</option></select></div>
        <div class="text wide"><label for="entry-note">Note, if any</label><input id="entry-note" v-model="text" type="text" maxlength="2000" autocomplete="off"></div>
      </template>
      <UButton type="submit" size="xl" variant="outline" class="send">Log</UButton>
    </div>
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
  </form>
</template>

<style scoped>
.entry { margin-bottom: 26px; }
.kinds { display: flex; flex-wrap: wrap; border-bottom: 1.5px solid var(--line); margin-bottom: 12px; }
.kind { min-height: 44px; display: inline-flex; align-items: center; padding: 0 16px; cursor: pointer; border-bottom: 4px solid transparent; font-weight: 600; color: var(--ink-soft); }
.kind:has(:checked) { color: var(--skin); border-bottom-color: var(--skin); }
.kind:has(:focus-visible) { outline: 3px solid var(--skin); outline-offset: -3px; border-radius: 8px; }
.fields { display: flex; flex-wrap: wrap; gap: 12px 16px; align-items: flex-end; }
.fields > * { flex: 1 1 150px; }
.fields > .wide { flex: 3 1 240px; }
.fields > .send { flex: 0 0 auto; min-height: 53px; }
@media (max-width: 560px) { .kind { padding: 0 10px; font-size: 0.95rem; } }
</style>
