<script setup lang="ts">
import type { Entry, Fact } from '~~/core/ledger'
import { useStrike } from '~/composables/useStrike'

/** Something of the household's own in a list: what it says, changed in its place, or deleted with a way back. */
const props = defineProps<{
  fact: Fact
  name: string
  /** What the button says that opens it. */
  change: string
  /** What is said once it is deleted. */
  gone: string
}>()
const emit = defineEmits<{ changed: [written: Entry[]] }>()
const strike = useStrike()
const open = ref(false)
function changed(written: Entry[]) {
  open.value = false
  emit('changed', written)
}
</script>

<template>
  <li>
    <div class="head">
      <span><b class="display">{{ props.name }}</b><slot /></span>
      <span class="flex">
        <UButton variant="ghost" color="neutral" :aria-label="`${change} ${name}`" :aria-expanded="open" @click="open = !open">
          {{ change }}
        </UButton>
        <UButton variant="ghost" color="neutral" :aria-label="`Delete ${name}`" @click="strike(fact.id, gone, 'Deleted')">Delete</UButton>
      </span>
    </div>
    <div v-if="open" class="sheet p-4 my-2">
      <EntryForm :type="fact.type" :fact="fact" send="Save changes" @done="changed" @leave="open = false" />
    </div>
  </li>
</template>

<style scoped>
li { border-top: 1.5px solid var(--line); padding: 10px 0; overflow-wrap: anywhere; }
.head { display: flex; justify-content: space-between; gap: 16px; align-items: center; }
.head b { font-size: 1.15rem; }
</style>
