<script setup lang="ts">
import { fact } from '~~/core/drafts'
import type { Fault, LotView } from '~~/core/ledger'
import { FAULT } from '~/wording/faults'
import { FAULT_TOLD } from '~/wording/faults-told'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Faults that were tasted: what each comes from, what can be done with this wine, and how the next one is kept from it. */
const props = defineProps<{ lot: LotView, faults: readonly Fault[] }>()
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()
/** Offered when the next of its kind is started, once for each. */
const noted = (fault: Fault) =>
  cellar.facts.some(({ fact: x, struck }) => !struck && x.type === 'observation' && x.lotId === props.lot.id && x.text === textOf(fault))
const textOf = (fault: Fault) => `${FAULT[fault]}: ${f.degrees(FAULT_TOLD[fault].next)}`
async function note(fault: Fault) {
  if (await cellar.log([fact(
    'observation',
    { lotId: props.lot.id, what: 'next-time', text: textOf(fault) }
  )])) logged('Noted for next time')
}
</script>

<template>
  <ul class="grid gap-3" aria-label="Faults tasted">
    <li v-for="x in faults" :key="x" class="grid gap-1">
      <p><b>{{ FAULT[x] }}</b><span class="soft">, {{ FAULT_TOLD[x].is }}</span></p>
      <p class="small">{{ f.degrees(FAULT_TOLD[x].from) }} {{ f.degrees(FAULT_TOLD[x].now) }}</p>
      <p class="small">
        <span class="soft">Next time: </span>{{ f.degrees(FAULT_TOLD[x].next) }}
        <UButton v-if="!noted(x)" variant="link" class="flex px-0" @click="note(x)">Save for next time</UButton>
        <span v-else class="soft">Noted.</span>
      </p>
    </li>
  </ul>
</template>
