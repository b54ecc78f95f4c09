<script setup lang="ts">
import { lees } from '~~/core/drafts'
import type { LotView } from '~~/core/ledger'
import { leesFor } from '~~/core/stages'
import { sayBrought } from '~/wording/yeast-sources'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'
import { useCellarStore } from '~/stores/cellar'

/** The yeast of a wine that has just finished, used again: what speaks against it, how much, and what comes along. */
const props = defineProps<{ lot: LotView, potential?: number | undefined }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
const { saving, write } = useStepLog(() => props.lot)
const sources = computed(() => leesFor(props.lot, cellar.lots, now.value, props.potential))
const chosen = ref('')
const source = computed(() => sources.value.find((s) => s.from.id === chosen.value) ?? sources.value[0])
const reuse = computed(() => source.value?.reuse)
const from = computed({ get: () => source.value?.from.id ?? '', set: (id) => (chosen.value = id) })

async function pitched() {
  if (!source.value) return
  const written = await write([lees(source.value.from, props.lot)], `The lees are in ${props.lot.name}`)
  if (written) await navigateTo(`/lots/${props.lot.id}`)
}
</script>

<template>
  <div class="grid gap-4 max-w-(--measure)">
    <p v-if="!sources.length" class="soft">No other lot has fermented yet.</p>
    <template v-else>
      <SelectField v-model="from" label="Lees of" :items="sources.map((s) => ({ value: s.from.id, label: s.from.name }))" />
      <template v-if="reuse">
        <p v-if="reuse.verdict === 'never'"><b>Do not use these.</b></p>
        <p v-else>
          <b class="figure">{{ f.words(f.volume(reuse.litres.min)) }} to {{ f.words(f.volume(reuse.litres.max)) }}</b> of the thick lees,
          the day it is racked, stirred into the must {{ f.degrees('within 6 °C') }} of each other. They bring about
          {{ f.words(f.percentAlcohol(reuse.bringsAbv)) }} along.
        </p>
        <FindingNote v-for="x in reuse.findings" :key="x.code" :tone="x.weight === 'never' ? 'stop' : undefined">
          {{ f.degrees(sayBrought(x)) }}
        </FindingNote>
        <div class="ways">
          <UButton size="xl" :loading="saving" :disabled="reuse.verdict === 'never'" @click="pitched">The lees are in the must</UButton>
          <UButton v-if="reuse.verdict === 'never'" variant="link" @click="pitched">I used them anyway</UButton>
        </div>
      </template>
    </template>
    <CautionNote code="carbonDioxide" />
  </div>
</template>
