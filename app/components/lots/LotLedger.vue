<script setup lang="ts">
const props = defineProps<{ lotId: string }>()

const cellar = useCellarStore()
const story = useStory()
const toast = useToast()
const lines = computed(() => story.lines(props.lotId))

async function strike(id: string) {
  if (await cellar.strike([id], 'Struck by hand')) toast.add({ title: 'Struck out. It stays in the ledger, marked.', color: 'neutral' })
}
</script>

<template>
  <div>
    <h2>Ledger</h2>
    <ol class="lines">
      <li v-for="line in lines" :key="line.id" :class="{ struck: line.struck }">
        <time :datetime="line.at" class="soft small">{{ line.when }}</time>
        <span class="text"><s v-if="line.struck">{{ line.text }}</s><template v-else>{{ line.text }}</template></span>
        <span v-if="line.struck" class="small soft">struck</span>
        <button v-else-if="line.standing.fact.type !== 'lot-started'" type="button" class="strike small" :aria-label="`Strike out: ${line.text}`" @click="strike(line.id)">Strike</button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.lines { margin-top: 8px; }
li { display: grid; grid-template-columns: 9.5rem minmax(0, 1fr) auto; gap: 2px 16px; align-items: center; border-top: 1.5px solid var(--line); min-height: 46px; padding: 4px 0; }
.text { overflow-wrap: anywhere; }
.struck .text { color: var(--ink-soft); }
.strike { min-height: 44px; padding: 0 10px; color: var(--ink-soft); border-radius: 8px; cursor: pointer; }
.strike:hover { color: var(--stop); text-decoration: line-through; }
@media (max-width: 560px) { li { grid-template-columns: minmax(0, 1fr) auto; } time { grid-column: 1 / -1; padding-top: 6px; } }
</style>
