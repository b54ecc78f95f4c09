<script setup lang="ts">
import type { Entry, EntryOf, InstrumentState, Restatement } from '~~/core/ledger'
import { restatedBy } from '~~/core/ledger'
import { readNumber } from '~~/core/units'
import { newId } from '~/data/ids'
import { materialName } from '~/wording/terms'
import { sayWhen } from '~/composables/useStory'

type Kind = EntryOf<'instrument-added'>['kind']
const KINDS: Record<Kind, { name: string, unit: string, how: string }> = {
  'hydrometer': { name: 'Hydrometer', unit: 'SG', how: 'in distilled water at its temperature it should show 1.000' },
  'refractometer': { name: 'Refractometer', unit: '°Brix', how: 'in distilled water it should show 0' },
  'ph-meter': { name: 'pH meter', unit: 'pH', how: 'in fresh buffer of pH 4.01 (or 3.56) it should show that' },
  'thermometer': { name: 'Thermometer', unit: '°C', how: 'in melting ice it should show 0 °C' },
  'scale': { name: 'Scale', unit: 'g', how: 'with a coin of known weight on it' },
  'titration-kit': { name: 'Titration kit', unit: 'g/L', how: 'against a wine of known acidity' }
}

const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const logged = useLogged()
const instruments = computed(() => [...cellar.state.instruments.values()])
const name = ref('')
const kind = ref<Kind>('hydrometer')
const nameProblem = ref<string>()
const checking = ref<string>()
const offset = ref('')
const adjusted = ref(true)
const problem = ref<string>()
const preview = shallowRef<Restatement>()

async function add() {
  nameProblem.value = name.value.trim() ? undefined : 'An instrument needs a name.'
  if (nameProblem.value) return
  if (await cellar.log([{ type: 'instrument-added', instrumentId: newId(), name: name.value.trim().slice(0, 80), kind: kind.value, ...(kind.value === 'hydrometer' && { calibrationC: 20 }) }])) {
    logged(`${name.value.trim()} added`)
    name.value = ''
  }
}

function check(instrument: InstrumentState) {
  checking.value = checking.value === instrument.id ? undefined : instrument.id
  offset.value = ''
  preview.value = undefined
  problem.value = undefined
}

function draft(instrument: InstrumentState): EntryOf<'instrument-checked'> | undefined {
  const read = readNumber(offset.value)
  if (!read.ok) {
    problem.value = read.problem.code === 'empty' ? 'Say how much too much it shows; 0 when it is right.' : `“${offset.value.trim()}” is not a number.`
    return undefined
  }
  problem.value = undefined
  const at = new Date().toISOString()
  return { id: newId(), device: 'preview', at, written: at, type: 'instrument-checked', instrumentId: instrument.id, offset: read.value, adjusted: adjusted.value }
}

/** What the check would change, before it is logged. */
function look(instrument: InstrumentState) {
  const entry = draft(instrument)
  preview.value = entry && restatedBy(cellar.entries, entry as Entry)
}

async function log(instrument: InstrumentState) {
  const entry = draft(instrument)
  if (!entry) return
  const written = await cellar.log([{ type: 'instrument-checked', instrumentId: instrument.id, offset: entry.offset, adjusted: entry.adjusted }])
  if (!written) return
  logged(`${instrument.name} checked`)
  checking.value = undefined
  preview.value = undefined
}
const lotName = (id: string) => cellar.state.lots.get(id)?.name ?? ''
const figure = (quantity: string, value: number) => quantity === 'ph' ? value.toFixed(2) : quantity === 'ta' || quantity === 'abv' || quantity === 'brix' ? value.toFixed(1) : quantity === 'sg' ? value < 1.3 ? value.toFixed(3) : value.toFixed(1) : value.toFixed(0)
const NAMES: Record<string, string> = { sg: 'gravity', ph: 'pH', ta: 'TA', freeSo2: 'free SO₂', abv: 'alcohol', temperature: 'temperature' }
const last = (i: InstrumentState) => i.checks.at(-1)
</script>

<template>
  <section class="instruments" aria-label="Instruments">
    <h2>Instruments</h2>
    <p class="soft">A reading names its instrument. When one is found to be off, everything read with it since its last check is put right, and what was typed stays as it was typed.</p>
    <ul>
      <li v-for="i in instruments" :key="i.id">
        <div class="head">
          <span><b class="display">{{ i.name }}</b><br><span class="soft small">{{ KINDS[i.kind].name }}, {{ last(i) ? `checked ${sayWhen(last(i)!.at, now)}${last(i)!.offset ? `: showed ${last(i)!.offset} too much${last(i)!.adjusted ? ', set right' : ''}` : ', right'}` : 'never checked' }}</span></span>
          <UButton variant="outline" size="md" :aria-expanded="checking === i.id" :aria-label="`Check ${i.name}`" @click="check(i)">Check</UButton>
        </div>
        <form v-if="checking === i.id" novalidate class="sheet check" @submit.prevent="log(i)">
          <p class="soft small">{{ KINDS[i.kind].how.charAt(0).toUpperCase() + KINDS[i.kind].how.slice(1) }}.</p>
          <div class="text"><label :for="`offset-${i.id}`">It shows too much by, {{ KINDS[i.kind].unit }}</label><input :id="`offset-${i.id}`" v-model="offset" inputmode="decimal" autocomplete="off" :aria-invalid="problem ? 'true' : undefined" @input="preview = undefined"></div>
          <label class="tick"><input v-model="adjusted" type="checkbox"> and it was set right just now</label>
          <p v-if="problem" class="message" role="alert">{{ problem }}</p>
          <div v-if="preview" class="preview" role="status">
            <p v-if="!preview.readings.length">No reading was made with it since its last check: nothing changes.</p>
            <template v-else>
              <h3>{{ preview.readings.length }} {{ preview.readings.length === 1 ? 'reading changes' : 'readings change' }}</h3>
              <ul><li v-for="r in preview.readings.slice(0, 12)" :key="r.entryId">{{ lotName(r.lotId) }}, {{ sayWhen(r.at, now) }}: {{ NAMES[r.quantity] ?? r.quantity }} {{ figure(r.quantity, r.was) }} is {{ figure(r.quantity, r.is) }}</li></ul>
              <template v-if="preview.figures.length"><h3>So these stand otherwise now</h3><ul><li v-for="x in preview.figures" :key="x.lotId + x.quantity">{{ lotName(x.lotId) }}: {{ NAMES[x.quantity] }} {{ figure(x.quantity, x.was) }} becomes {{ figure(x.quantity, x.is) }}</li></ul></template>
              <template v-if="preview.additions.length"><h3>And these additions rested on them</h3><ul><li v-for="a in preview.additions" :key="a.entryId">{{ lotName(a.lotId) }}, {{ sayWhen(a.at, now) }}: {{ Number(a.actual.toPrecision(3)) }} {{ a.unit }} of {{ materialName(a.material) }}, measured out for {{ NAMES[a.quantity] ?? a.quantity }} {{ figure(a.quantity, a.was) }}; it was {{ figure(a.quantity, a.is) }}</li></ul></template>
            </template>
          </div>
          <div class="flex flex-wrap gap-3"><UButton type="button" variant="outline" size="lg" @click="look(i)">See what it changes</UButton><UButton type="submit" size="lg">Log the check</UButton></div>
        </form>
      </li>
    </ul>
    <form novalidate class="add" @submit.prevent="add">
      <div class="text" :class="{ wrong: nameProblem }"><label for="instrument-name">Another instrument</label><input id="instrument-name" v-model="name" type="text" maxlength="80" autocomplete="off" placeholder="what you call it" :aria-invalid="nameProblem ? 'true' : undefined"><p v-if="nameProblem" class="message" role="alert">{{ nameProblem }}</p></div>
      <div class="text"><label for="instrument-kind">Kind</label><select id="instrument-kind" v-model="kind"><option v-for="(k, key) in KINDS" :key="key" :value="key">{{ k.name }}</option></select></div>
      <UButton type="submit" variant="outline" size="xl">Add it</UButton>
    </form>
    <p class="soft small">{{ f.words(f.temperature(20)) }} is taken as a hydrometer’s own temperature unless a reading says otherwise.</p>
  </section>
</template>

<style scoped>
.instruments { display: grid; gap: 12px; max-width: 640px; border-top: 1.5px solid var(--line); padding-top: 18px; margin-top: 22px; }
.instruments > ul > li { border-top: 1.5px solid var(--line); padding: 10px 0; }
.head { display: flex; justify-content: space-between; gap: 16px; align-items: center; }
.check { padding: 16px; display: grid; gap: 12px; margin-top: 10px; }
.tick { display: inline-flex; align-items: center; gap: 10px; min-height: 44px; }
.tick input { width: 20px; height: 20px; accent-color: var(--skin); }
.preview { display: grid; gap: 6px; border-left: 3px solid var(--skin); padding-left: 14px; }
.add { display: flex; flex-wrap: wrap; gap: 12px; align-items: flex-end; }
.add > .text { flex: 1 1 180px; }
</style>
