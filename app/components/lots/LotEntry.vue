<script setup lang="ts">
import type { Fact, LotView } from '~~/core/ledger'
import { FORMS } from '~/forms'

/** What can be logged of a lot, by kind; the one that the address asks for stands open. */
const props = defineProps<{ lot: LotView }>()

const route = useRoute()
const logged = useLogged()
const KINDS = {
  note: 'observation',
  reading: 'reading',
  yeast: 'inoculation',
  addition: 'addition',
  operation: 'operation',
  move: 'transfer',
  bottles: 'bottling',
  stage: 'lot-amended'
} as const satisfies Record<string, Fact['type']>
type Kind = keyof typeof KINDS

const asked = (): Kind | undefined => (String(route.query.log ?? '') in KINDS ? (String(route.query.log) as Kind) : undefined)
const kind = ref<Kind>(asked() ?? 'note')
watch(
  () => route.query.log,
  () => {
    kind.value = asked() ?? kind.value
  }
)
const items = computed(() => (Object.keys(KINDS) as Kind[]).map((value) => ({ value, label: FORMS[KINDS[value]].title })))
</script>

<template>
  <section id="log" class="log" aria-label="Log something">
    <UTabs v-model="kind" :items="items" variant="link" :content="false" aria-label="What to log" />
    <EntryForm :key="kind" :type="KINDS[kind]" :lot="props.lot" dated @done="logged('Logged')" />
  </section>
</template>

<style scoped>
.log {
  display: grid;
  gap: 14px;
  margin-bottom: 26px;
}
</style>
