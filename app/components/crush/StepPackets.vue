<script setup lang="ts">
import { packetTask, tasksOf } from '~~/core/stages'
import { isMust, type LotView, type PacketStep } from '~~/core/ledger'
import { PACKET_STEP } from '~/wording/crush'
import { sayWhen } from '~/wording/days'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'
import { useCellarStore } from '~/stores/cellar'

/** A kit's packets in their order: what is in, what is due, and what waits for what. */
const props = defineProps<{ lot: LotView }>()
const cellar = useCellarStore()
const now = useNow()
const { saving, write } = useStepLog(() => props.lot)

const tasks = computed(() => tasksOf(props.lot, cellar.state, now.value).filter((t) => t.code === 'packet'))
const isIn = (i: number, step: PacketStep): boolean =>
  props.lot.endedTasks.get(packetTask(i))?.outcome === 'done' || (step === 'yeast' && props.lot.inoculatedAt !== undefined)
/** Why it is not due yet; nothing when it is. */
function waits(i: number, step: PacketStep): string | undefined {
  if (isMust(props.lot)) return step === 'before-yeast' ? undefined : 'keep it'
  const task = tasks.value.find((t) => t.key === packetTask(i))
  if (!task || task.urgency === 'now') return undefined
  if (task.waitsFor === 'dryness') return 'after two dry readings'
  return task.waitsFor === 'packets-before' ? 'after the one before' : `from ${sayWhen(task.window!.from!, now.value)}`
}
const packets = computed(() =>
  (props.lot.kit?.packets ?? []).map((p, i) => ({ ...p, i, in: isIn(i, p.step), waits: waits(i, p.step) }))
)
const used = (i: number, name: string) =>
  write([{ type: 'task-ended', lotId: props.lot.id, task: packetTask(i), outcome: 'done', note: name }], `${name}: in`)
</script>

<template>
  <ol class="packets">
    <li v-for="p in packets" :key="p.i">
      <span class="n figure" aria-hidden="true">{{ p.i + 1 }}</span>
      <span
      ><b>{{ p.name }}</b
      ><br /><span class="soft small"
      >{{ PACKET_STEP[p.step] }}<template v-if="p.day !== undefined">, day {{ p.day }}</template
      ><template v-if="p.waits && !p.in">: {{ p.waits }}</template></span
      ></span
      >
      <span v-if="p.in" class="soft small">in</span>
      <UButton
        v-else-if="!isMust(lot) || p.step === 'before-yeast'"
        :variant="p.waits ? 'link' : 'outline'"
        size="lg"
        :loading="saving"
        :aria-label="`${p.name}: it is in`"
        @click="used(p.i, p.name)"
      >{{ p.waits ? 'In already' : 'It is in' }}</UButton
      >
      <PacketHolds v-if="p.step !== 'yeast' && !p.in" class="held" :lot="lot" :index="p.i" />
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
.held {
  grid-column: 2 / -1;
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
