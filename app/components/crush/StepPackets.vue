<script setup lang="ts">
import { packetTask } from '~~/core/stages'
import { isMust, type LotView } from '~~/core/ledger'
import { PACKET_STEP } from '~/wording/crush'

/** A kit's packets in their order; those of a later step are listed and wait. */
const props = defineProps<{ lot: LotView }>()
const { saving, write } = useStepLog(() => props.lot)
const packets = computed(() => (props.lot.kit?.packets ?? []).map((p, i) => ({ ...p, i, ended: props.lot.endedTasks.get(packetTask(i)) })))
/** What is due now: before the yeast while it is a must, the others once it is. */
const due = (step: string) => (isMust(props.lot) ? step === 'before-yeast' : step !== 'yeast')
const used = (i: number, name: string) =>
  write([{ type: 'task-ended', lotId: props.lot.id, task: packetTask(i), outcome: 'done', note: name }], `${name}: in`)
</script>

<template>
  <ol class="packets">
    <li v-for="p in packets" :key="p.i">
      <span class="n figure" aria-hidden="true">{{ p.i + 1 }}</span>
      <span
      ><b>{{ p.name }}</b
      ><br /><span class="soft small">{{ PACKET_STEP[p.step] }}</span></span
      >
      <span v-if="p.ended" class="soft small">in</span>
      <UButton
        v-else-if="due(p.step)"
        variant="outline"
        size="lg"
        :loading="saving"
        :aria-label="`${p.name}: it is in`"
        @click="used(p.i, p.name)"
      >It is in</UButton
      >
      <span v-else class="soft small">keep it</span>
    </li>
  </ol>
</template>

<style scoped>
.packets li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 8px 0;
}
.n {
  width: 30px;
  height: 30px;
  border-radius: 8px;
  border: 2px solid var(--line-strong);
  display: grid;
  place-items: center;
}
</style>
