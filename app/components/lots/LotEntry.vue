<script setup lang="ts">
import type { Fact, LotView } from '~~/core/ledger'
import { bottlesLeft } from '~~/core/stages'
import { unchanged } from '~/composables/unchanged'
import { FORMS } from '~/forms'
import { useLogged } from '~/composables/useLogged'
import { useMaterials } from '~/composables/useMaterials'
import { useReadiness } from '~/composables/useReadiness'
import { useCellarStore } from '~/stores/cellar'

/** What can be logged of a lot, by kind; the one that the address names is open. */
const props = defineProps<{ lot: LotView }>()

const route = useRoute()
const router = useRouter()
const logged = useLogged()
const cellar = useCellarStore()
const KINDS = {
  note: 'observation',
  reading: 'reading',
  yeast: 'inoculation',
  addition: 'addition',
  operation: 'operation',
  move: 'transfer',
  bottles: 'bottling',
  store: 'bottle-taken',
  tasting: 'tasting',
  cost: 'cost',
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
const materials = useMaterials()
/** What the address says of it: which work was done, what was looked at, or what goes in and how much. */
const given = computed(() => {
  const { what, amount } = route.query
  if (typeof what !== 'string' || kind.value !== asked()) return undefined
  if (kind.value !== 'addition') return { what }
  const grams = Number(amount)
  return materials.card(what) && { material: what, ...(grams > 0 && { actual: grams }) }
})
/** Bottles of a wine that is not ready are logged only knowingly, and the ledger says so. */
const gate = computed(() => (props.lot.plan.sparkling ? 'bottling-sparkling' : 'bottling-still'))
const { ready, knows, against } = useReadiness(
  () => props.lot,
  () => gate.value
)
const barred = computed(() => kind.value === 'bottles' && !ready.value && !knows.value)
let written: ReturnType<typeof against> = []
watch(knows, (is) => (written = is ? against() : []))
async function done() {
  logged('Logged')
  // What the address asked for has been logged: the form is not filled with it a second time.
  if (given.value) await router.replace({ query: { ...route.query, what: undefined, amount: undefined } })
  // What was open is what was open before the bottling.
  if (kind.value !== 'bottles' || written.length === 0 || !(await cellar.log(written))) return
  written = []
  knows.value = false
}
/** Bottles are taken only where there are some. */
const kinds = computed(() => (Object.keys(KINDS) as Kind[]).filter((k) => k !== 'store' || bottlesLeft(props.lot) > 0))
const items = unchanged(() => kinds.value.map((value) => ({ value, label: FORMS[KINDS[value]].title })))
</script>

<template>
  <section id="log" class="log" aria-label="Log something">
    <UTabs v-model="kind" :items="items" variant="link" :content="false" aria-label="What to log" />
    <GateBefore v-if="kind === 'bottles'" v-model="knows" :lot="props.lot" :gate="gate" />
    <EntryForm
      v-if="!barred"
      :key="`${kind} ${JSON.stringify(given)}`"
      :type="KINDS[kind]"
      :lot="props.lot"
      :given="given"
      dated
      @done="done"
    />
  </section>
</template>

<style scoped>
.log {
  display: grid;
  gap: 14px;
  margin-bottom: 26px;
}
</style>
