<script setup lang="ts">
import type { NuxtError } from '#app'
import { openCellar, thisDevice } from '~/data/device'
import { type RawRow, downloadRaw, lastWritten, rawRows, strikeRaw } from '~/data/rescue'

const props = defineProps<{ error: NuxtError }>()
const notFound = computed(() => props.error.status === 404)
const rows = shallowRef<RawRow[]>()
const told = ref('')
const last = computed(() => lastWritten(rows.value ?? []))

/** Reads what is stored and does nothing else with it: whatever broke the page cannot break this. */
async function read(): Promise<RawRow[]> {
  rows.value ??= await rawRows(openCellar.get())
  return rows.value
}
async function attempt(work: () => Promise<string>) {
  try {
    told.value = await work()
  }
  catch (error) {
    told.value = `The browser’s storage did not answer (${error instanceof Error ? error.message : String(error)}). Close other tabs `
      + `of Presk, `
      + 'and try again.'
  }
}
const save = () =>
  attempt(async () => {
    const all = await read()
    downloadRaw(all, 'Cellar')
    return `${all.length} entries went into the file, exactly as they are stored.`
  })
const show = () =>
  attempt(async () => ((await read()).length === 0 ? 'Nothing is stored here.' : ''))
const strike = (row: RawRow) =>
  attempt(async () => {
    await strikeRaw(openCellar.get(), await read(), row.id, thisDevice())
    location.assign('/')
    return 'Deleted, kept in the history. Presk starts again.'
  })
</script>

<template>
  <main class="error">
    <h1>{{ notFound ? 'There is no such page' : 'Something broke in Presk' }}</h1>
    <p>
      {{
        notFound
          ? 'The address may be old, or the lot may be in another cellar.'
          : 'Your entries are safe: everything you logged is stored on this device. Only what was in an open form is lost.'
      }}
    </p>
    <p v-if="!notFound" class="small soft">{{ error.message }}</p>
    <div class="row">
      <button type="button" @click="clearError({ redirect: '/' })">Back to Today</button>
      <button type="button" @click="save">Export the cellar</button>
      <button v-if="!notFound && !rows" type="button" @click="show">Show the last entries</button>
    </div>
    <p v-if="told" role="status">{{ told }}</p>
    <section v-if="!notFound && last.length" aria-labelledby="last">
      <h2 id="last">The last entries</h2>
      <p class="small">
        If Presk broke right after you logged something, delete that entry here. It stays in the history and in the export, and Presk no
        longer counts it.
      </p>
      <ul>
        <li v-for="row in last" :key="row.id">
          <code>{{ JSON.stringify(row).slice(0, 240) }}</code>
          <button type="button" @click="strike(row)">Delete this entry</button>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.error {
  max-width: 70ch;
  margin: 12vh auto;
  padding: 0 20px;
  display: grid;
  gap: 14px;
}
.row {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
}
button {
  min-height: 46px;
  padding: 0 18px;
  border-radius: var(--radius-control);
  background: none;
  color: var(--skin);
  border: 1.5px solid var(--skin);
  font-weight: 600;
}
.row button:first-child {
  background: var(--skin);
  color: var(--on-skin);
}
ul {
  display: grid;
  gap: 12px;
  margin-top: 10px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  justify-content: space-between;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
code {
  overflow-wrap: anywhere;
  font-size: 0.85rem;
  flex: 1 1 30ch;
}
</style>
