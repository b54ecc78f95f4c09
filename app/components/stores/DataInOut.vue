<script setup lang="ts">
import { daysBetween } from '~~/core/units'
import { counted } from '~/wording/count'
import type { Reviewed } from '~/data/engine-answers'
import { LARGEST_FILE_BYTES, MOST_TOLD } from '~/data/limits'
import { chosenCellar } from '~/data/chosen-file'
import { downloadCellar, fileNameOf } from '~/data/download'
import { sayLongDay } from '~/wording/days'
import { undoOf } from '~/data/review'
import { toCellarFile } from '~/data/to-cellar-file'
import { sayDoubt, sayFileProblem } from '~/wording/problems'
import { useCellarName } from '~/composables/useCellarName'
import { useMessage } from '~/composables/useMessage'
import { useNow } from '~/composables/useNow'
import { useStory } from '~/composables/useStory'
import { useTables } from '~/composables/useTables'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const cellar = useCellarStore()
const settings = useSettingsStore()
const cellarName = useCellarName()
const message = useMessage()
const story = useStory()
const problem = ref<string>()
const found = shallowRef<Reviewed>()
/** What is doubtful and wanted all the same, by what is said of it. */
const wanted = ref<string[]>([])
const review = useTemplateRef<HTMLElement>('review')

async function exportAll() {
  downloadCellar(cellarName.value, await cellar.allEntries())
  await exported()
}
async function exported() {
  lastExport.value = new Date().toISOString()
  since.value = 0
  await cellar.meta.set('lastExport', lastExport.value).catch(() => undefined)
}

const { exportTable, exportLines, exportZip } = useTables()
async function exportAsZip() {
  await exportZip(cellarName.value)
  await exported()
}

/** To another device or a friend, through what the system offers; only where it can. */
type Shares = { canShare?: (data: { files: File[] }) => boolean, share?: (data: { files: File[], title: string }) => Promise<void> }
const canSend = computed(() => {
  const probe = new File(['{}'], 'cellar.json', { type: 'application/json' })
  return (navigator as Shares).canShare?.({ files: [probe] }) ?? false
})
async function send() {
  const name = cellarName.value
  const text = JSON.stringify(toCellarFile(name, await cellar.allEntries(), new Date().toISOString()))
  const file = new File([text], fileNameOf(name, new Date()), { type: 'application/json' })
  // Closed without choosing anybody is no problem.
  await (navigator as Shares).share?.({ files: [file], title: name }).catch(() => undefined)
}
/** A cellar file that was opened from the system starts Presk here. */
type Launches = { launchQueue?: { setConsumer: (take: (asked: { files?: FileSystemFileHandle[] }) => void) => void } }
onMounted(() => (globalThis as Launches).launchQueue?.setConsumer(({ files }) => {
  if (files?.[0]) void files[0].getFile().then(read)
}))

const now = useNow()
const tables = [
  { label: 'Lots as CSV', onSelect: () => void exportTable('lots') },
  { label: 'Readings as CSV', onSelect: () => void exportTable('readings') },
  { label: 'Additions as CSV', onSelect: () => void exportTable('additions') },
  { label: 'Moves as CSV', onSelect: () => void exportTable('moves') },
  { label: 'Bottles as CSV', onSelect: () => void exportTable('bottles') },
  { label: 'Vessels as CSV', onSelect: () => void exportTable('vessels') },
  { label: 'All entries as CSV', onSelect: () => void exportTable('ledger') },
  { label: 'All entries as JSON Lines', onSelect: () => void exportLines() }
]
const since = ref(0)
const lastExport = ref<string>()
onMounted(async () => {
  const at = await cellar.meta.get('lastExport').catch(() => undefined)
  if (typeof at !== 'string') return
  lastExport.value = at
  since.value = await cellar.writtenAfter(at).catch(() => 0)
})
const exportAge = computed(() =>
  lastExport.value === undefined ? undefined : Math.floor(daysBetween(lastExport.value, now.value))
)

async function read(chosen: File) {
  found.value = undefined
  problem.value = undefined
  const file = await chosenCellar(chosen, LARGEST_FILE_BYTES)
  if (!file.ok) {
    problem.value = file.bytes === undefined
      ? `${file.name}: this zip has no Presk cellar in it, or it is damaged. Nothing was changed.`
      : sayFileProblem({ code: 'too-large', bytes: file.bytes, limitBytes: LARGEST_FILE_BYTES })
    return
  }
  const read = await cellar.review(file.text, file.name)
  if (!read.ok) {
    problem.value = `${file.name}: ${sayFileProblem(read.problem)} Nothing was changed.`
    return
  }
  found.value = read.reviewed
  wanted.value = []
  // It may have come from a folder or by codes, further down the page.
  await nextTick()
  review.value?.scrollIntoView({ block: 'nearest' })
}

/** Entries of which the same is said are one line, and one answer. */
const doubts = computed(() => {
  const said = new Map<string, string[]>()
  for (const doubt of found.value?.review.doubts ?? []) {
    if (doubt.code === 'differs') continue
    const words = sayDoubt(doubt, (fact) => `${sayLongDay(fact.at)}: ${story.said(fact).replace(/\.$/, '')}`)
    said.set(words, [...(said.get(words) ?? []), doubt.entryId])
  }
  return [...said].map(([words, ids]) => ({ value: words, label: ids.length > 1 ? `${words} (${ids.length} entries)` : words, ids }))
})
const differing = computed(() => found.value?.review.doubts.filter((d) => d.code === 'differs').length ?? 0)
const left = computed(() => doubts.value.flatMap(({ value, ids }) => (wanted.value.includes(value) ? [] : ids)))
const incoming = computed(() => (found.value?.review.freshCount ?? 0) - left.value.length)
/** So many of the entries are stored by now, percent, while a file is taken in. */
const stored = ref<number>()
async function takeIn() {
  if (!found.value || stored.value !== undefined) return
  stored.value = 0
  const done = await cellar
    .takeReviewed(left.value, (done, of) => (stored.value = of > 0 ? Math.floor((done / of) * 100) : 100))
    .finally(() => (stored.value = undefined))
  if (!done) return
  const { count, written } = done
  settings.change({ asked: true, ...(!settings.values.cellarName && cellar.which === 'own' && { cellarName: found.value.name }) })
  const undo = count <= MOST_TOLD ? undoOf(written, found.value.review.doubts) : []
  message({
    title: `${counted(count, 'entry', 'entries')} imported`,
    color: 'primary',
    orientation: 'horizontal',
    ...(undo.length > 0 && { actions: [{ label: 'Undo', size: 'md', variant: 'outline', onClick: () => void cellar.log(undo) }] })
  })
  found.value = undefined
}
</script>

<template>
  <div class="data">
    <h2>Your data</h2>
    <p>Your data is stored in this browser, on this device. Export it now and then, and keep the file somewhere else.</p>
    <div class="row">
      <UButton size="xl" icon="i-lucide-download" :disabled="cellar.factCount === 0" @click="exportAll">Export the cellar</UButton>
      <UButton v-if="canSend" size="lg" variant="outline" icon="i-lucide-share-2" :disabled="cellar.factCount === 0" @click="send">
        Send the cellar
      </UButton>
      <UButton size="lg" variant="outline" icon="i-lucide-file-archive" :disabled="cellar.factCount === 0" @click="exportAsZip">
        Export as a zip
      </UButton>
      <UDropdownMenu :items="tables" :content="{ align: 'start' }">
        <UButton size="lg" variant="outline" icon="i-lucide-table" :disabled="cellar.factCount === 0">Tables</UButton>
      </UDropdownMenu>
      <span class="soft"
      >{{ counted(cellar.factCount, 'entry', 'entries') }}, {{ counted(cellar.lots.length, 'lot') }}; the export is one JSON file
        (<a href="/api/schema/cellar" class="textlink">see its schema</a>), or a zip of that file, your pictures and the tables.</span
      >
    </div>
    <FindingNote v-if="exportAge !== undefined && exportAge > 30 && since > 0"
    >The last export is {{ counted(exportAge, 'day') }} old and does not include {{ counted(since, 'entry', 'entries') }}. If this browser
      lost its data, they would be gone.</FindingNote
    >
    <FindingNote v-else-if="exportAge === undefined && !cellar.isDemo && cellar.factCount > 20"
    >This cellar has never been exported. If this browser lost its data, the cellar would be gone.</FindingNote
    >
    <div class="bring">
      <FileField
        label="Import a cellar file"
        hint="Presk merges it with what is here. Nothing is overwritten or imported twice, and you see what is new first."
        accept=".json,application/json,.zip,application/zip"
        @chosen="read"
      />
      <p v-if="problem" class="message" role="alert">{{ problem }}</p>
      <div v-if="found" ref="review" class="sheet found" role="status">
        <p>
          <b>{{ found.name || found.fileName }}</b
          >, exported {{ sayLongDay(found.exportedAt) }},
          holds {{ counted(found.review.lots, 'lot') }}.
        </p>
        <ul>
          <li>
            <b class="figure">{{ incoming }}</b> new {{ incoming === 1 ? 'entry' : 'entries' }}
          </li>
          <li>
            <b class="figure">{{ found.review.present }}</b> already here
          </li>
          <li v-if="differing">
            <b class="figure">{{ differing }}</b> {{ differing === 1 ? 'differs' : 'differ' }} from yours; yours stay as they are
          </li>
        </ul>
        <UCheckboxGroup
          v-if="doubts.length"
          v-model="wanted"
          legend="These would change or contradict your entries. They are not imported unless you tick them"
          :items="doubts"
          :ui="{ fieldset: 'flex-col' }"
        />
        <div v-if="stored !== undefined" class="grid gap-2">
          <UProgress :model-value="stored" :get-value-label="() => `${stored} % stored`" />
          <UButton class="justify-self-start" size="lg" variant="outline" @click="cellar.stopTaking()">Stop and import nothing</UButton>
        </div>
        <div v-else class="row">
          <UButton size="lg" :disabled="incoming === 0" @click="takeIn">Import</UButton
          ><UButton size="lg" variant="outline" @click="found = undefined">Cancel</UButton>
        </div>
      </div>
    </div>
    <FolderKept @restore="read" />
    <OverTheAir @read="read" />
    <TableImport v-if="cellar.lots.length" />
    <CellarsHeld />
    <h2>The demo</h2>
    <p class="row">
      <template v-if="cellar.isDemo">
        <UButton size="lg" @click="cellar.open('own')">Go to my own cellar</UButton>
        <UButton size="lg" variant="outline" @click="cellar.layOutDemo()">Reset the demo</UButton>
      </template>
      <UButton v-else size="lg" variant="outline" @click="cellar.open('demo')">Open the demo cellar</UButton>
    </p>
  </div>
</template>

<style scoped>
.data {
  display: grid;
  gap: 14px;
  margin-top: 14px;
  max-width: 640px;
}
h2:not(:first-child) {
  border-top: 1.5px solid var(--line);
  padding-top: 18px;
  margin-top: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 16px;
  align-items: center;
}
.found {
  padding: 16px;
  display: grid;
  gap: 10px;
  margin-top: 8px;
}
</style>
