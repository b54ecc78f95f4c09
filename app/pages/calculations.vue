<script setup lang="ts">
import { useFormat } from '~/composables/useFormat'
/** What this server works out for scripts and displays, read from its own description. */
const f = useFormat()
interface Described { paths: Record<string, Record<string, { summary: string, tags: string[] }>> }
const described = shallowRef<Described>()
const failed = ref(false)
onMounted(async () => {
  try {
    described.value = await $fetch<Described>('/api/openapi.json')
  }
  catch {
    failed.value = true
  }
})
const TAGS: Record<string, string> = {
  calculations: 'Calculations', cellar: 'Your cellar as a file', instruments: 'Simulated instruments', server: 'This server'
}
const groups = computed(() => Object.entries(TAGS).map(([tag, label]) => ({
  label,
  rows: Object.entries(described.value?.paths ?? {}).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, { summary, tags }]) => (tags.includes(tag) ? [{ path, method, summary }] : [])))
})))
useHead({ title: 'Calculations over HTTP · Presk' })
</script>

<template>
  <div class="calculations">
    <h1>Calculations over HTTP</h1>
    <p class="soft">
      For scripts of your own or a kitchen display. Nothing you send is stored. The full description, with every field, is an
      <a href="/api/openapi.json" class="textlink">OpenAPI 3.1 file</a>.
    </p>
    <p v-if="failed" role="status">The server cannot be reached. The list comes back when it can.</p>
    <section v-for="g in groups" v-else :key="g.label">
      <h2>{{ g.label }}</h2>
      <dl class="explained" style="--term: 22rem">
        <div v-for="row in g.rows" :key="row.path">
          <dt><span class="soft">{{ row.method.toUpperCase() }}</span> <code>{{ row.path }}</code></dt>
          <dd>{{ f.degrees(row.summary) }}</dd>
        </div>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.calculations {
  display: grid;
  gap: 18px;
  max-width: 60rem;
}
code {
  overflow-wrap: anywhere;
}
</style>
