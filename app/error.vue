<script setup lang="ts">
import type { NuxtError } from '#app'
import { downloadCellar } from '~/data/download'

const props = defineProps<{ error: NuxtError }>()
const cellar = useCellarStore()
const settings = useSettingsStore()
const notFound = computed(() => props.error.status === 404)

/** What is stored stays stored; the file is made from the copy in memory, or read again from the disk. */
async function rescue() {
  if (!cellar.ready) await cellar.open()
  downloadCellar(settings.values.cellarName || 'Cellar', await cellar.allEntries())
}
</script>

<template>
  <main class="error">
    <h1>{{ notFound ? 'There is no such page' : 'Something broke in Presk' }}</h1>
    <p>
      {{
        notFound
          ? 'The address may be old, or the lot may be in another cellar.'
          : 'Your ledger is safe: what was logged is stored on this device. What stood in an open form is not.'
      }}
    </p>
    <p v-if="!notFound" class="small soft">{{ error.message }}</p>
    <div class="row">
      <UButton size="lg" @click="clearError({ redirect: '/' })">Back to today</UButton>
      <UButton size="lg" variant="outline" @click="rescue">Export the cellar</UButton>
    </div>
  </main>
</template>

<style scoped>
.error {
  max-width: 60ch;
  margin: 14vh auto;
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
  background: var(--skin);
  color: var(--on-skin);
  font-weight: 600;
}
button + button {
  background: none;
  color: var(--skin);
  border: 1.5px solid var(--skin);
}
</style>
