<script setup lang="ts">
import { LARGEST_FILE_BYTES, type Merge, mergeEntries, parseCellarFile } from '~/data/cellar-file'
import { chosenFile } from '~/data/chosen-file'
import { ledgerCsv, readingsCsv } from '~/data/csv'
import { downloadCellar, downloadText } from '~/data/download'
import { sayFileProblem } from '~/wording/problems'
import { sayFact } from '~/wording/sentences'

const cellar = useCellarStore()
const settings = useSettingsStore()
const toast = useToast()
const problem = ref<string>()
const found = shallowRef<{ fileName: string, name: string, exportedAt: string, merge: Merge, lots: number }>()

function exportAll() {
  downloadCellar(cellar.isDemo ? 'The Larkrise cellar' : settings.values.cellarName || 'My cellar', cellar.entries)
  lastExport.value = new Date().toISOString()
  since.value = 0
  void cellar.meta.set('lastExport', lastExport.value).catch(() => undefined)
}

const story = useStory()
const f = useFormat()
const now = useNow()
const stamp = () => new Date().toISOString().slice(0, 10)
const exportReadings = () => downloadText(readingsCsv(cellar.entries, story.names.lot), `readings-${stamp()}.csv`, 'text/csv')
const exportLedger = () => downloadText(ledgerCsv(cellar.entries, fact => sayFact(fact, f, story.names), story.names.lot), `ledger-${stamp()}.csv`, 'text/csv')
const since = ref(0)
const lastExport = ref<string>()
onMounted(async () => {
  const at = await cellar.meta.get('lastExport').catch(() => undefined)
  if (typeof at !== 'string') return
  lastExport.value = at
  since.value = await cellar.writtenAfter(at).catch(() => 0)
})
const exportAge = computed(() => lastExport.value === undefined ? undefined : Math.floor((Date.parse(now.value) - Date.parse(lastExport.value)) / 86_400_000))

async function read(event: Event) {
  const file = await chosenFile(event, LARGEST_FILE_BYTES)
  found.value = undefined
  problem.value = undefined
  if (!file) return
  if (!file.ok) {
    problem.value = sayFileProblem({ code: 'too-large', bytes: file.bytes, limitBytes: LARGEST_FILE_BYTES })
    return
  }
  const parsed = parseCellarFile(file.text)
  if (!parsed.ok) {
    problem.value = `${file.name}: ${sayFileProblem(parsed.problem)} Nothing was changed.`
    return
  }
  const { name, exportedAt, entries } = parsed.file
  found.value = { fileName: file.name, name, exportedAt, merge: mergeEntries(cellar.entries, entries), lots: entries.filter(e => e.type === 'lot-started').length }
}

async function takeIn() {
  const merge = found.value?.merge
  if (!merge || !await cellar.add(merge.fresh)) return
  settings.change({ asked: true, ...(!settings.values.cellarName && !cellar.isDemo && { cellarName: found.value!.name }) })
  toast.add({ title: `${merge.fresh.length} entries came in`, color: 'primary' })
  found.value = undefined
}
</script>

<template>
  <div class="data">
    <h2>Your data</h2>
    <p>Everything stands in this browser, on this device. Export now and then, and keep the file somewhere else.</p>
    <div class="row">
      <UButton size="xl" icon="i-lucide-download" :disabled="cellar.entries.length === 0" @click="exportAll">Export the cellar</UButton>
      <UButton size="lg" variant="outline" :disabled="cellar.entries.length === 0" @click="exportReadings">Readings as CSV</UButton>
      <UButton size="lg" variant="outline" :disabled="cellar.entries.length === 0" @click="exportLedger">Ledger as CSV</UButton>
      <span class="soft">{{ cellar.entries.length }} entries, {{ cellar.lots.length }} {{ cellar.lots.length === 1 ? 'lot' : 'lots' }}; the cellar is one JSON file, <a href="/api/schema/cellar" class="textlink">its schema</a></span>
    </div>
    <FindingNote v-if="exportAge !== undefined && exportAge > 30 && since > 0">The last export is {{ exportAge }} days old and lacks {{ since }} {{ since === 1 ? 'entry' : 'entries' }}. If this browser lost its data, they would be gone.</FindingNote>
    <FindingNote v-else-if="exportAge === undefined && !cellar.isDemo && cellar.entries.length > 20">This cellar was never exported. If this browser lost its data, it would be gone.</FindingNote>
    <div class="bring">
      <label for="bring" class="label">Bring in a cellar file</label>
      <p class="soft small">It is joined with what is here: nothing is overwritten, nothing comes in twice. You see what it brings first.</p>
      <input id="bring" type="file" accept=".json,application/json" @change="read">
      <p v-if="problem" class="message" role="alert">{{ problem }}</p>
      <div v-if="found" class="sheet found" role="status">
        <p><b>{{ found.name || found.fileName }}</b>, exported {{ new Date(found.exportedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }) }}, holds {{ found.lots }} {{ found.lots === 1 ? 'lot' : 'lots' }}.</p>
        <ul>
          <li><b class="figure">{{ found.merge.fresh.length }}</b> new entries</li>
          <li><b class="figure">{{ found.merge.present }}</b> already here</li>
          <li v-if="found.merge.conflicts.length"><b class="figure">{{ found.merge.conflicts.length }}</b> differ from what is here; yours are kept</li>
        </ul>
        <div class="row"><UButton size="lg" :disabled="found.merge.fresh.length === 0" @click="takeIn">Take them in</UButton><UButton size="lg" variant="outline" @click="found = undefined">Leave it</UButton></div>
      </div>
    </div>
    <TableImport v-if="cellar.lots.length" />
    <h2>The demo</h2>
    <p class="row">
      <template v-if="cellar.isDemo">
        <UButton size="lg" @click="cellar.open('own')">Go to my own cellar</UButton>
        <UButton size="lg" variant="outline" @click="cellar.layOutDemo()">Lay the demo out afresh</UButton>
      </template>
      <UButton v-else size="lg" variant="outline" @click="cellar.open('demo')">Open the demo cellar</UButton>
    </p>
  </div>
</template>

<style scoped>
.data { display: grid; gap: 14px; margin-top: 14px; max-width: 640px; }
h2:not(:first-child) { border-top: 1.5px solid var(--line); padding-top: 18px; margin-top: 8px; }
.row { display: flex; flex-wrap: wrap; gap: 12px 16px; align-items: center; }
.found { padding: 16px; display: grid; gap: 10px; margin-top: 8px; }
</style>
