<script setup lang="ts">
import { type Draft, type Fact, type LotPlan, type LotView, isMust, planOf } from '~~/core/ledger'
import { FINISH, LEES_SCHOOL, MALOLACTIC, NUTRIENT_SCHOOL, OAK_READY, PRESS_SCHOOL, SULPHITE_SCHOOL, YEAST_SCHOOL } from '~/wording/plan'

/** The plan of the lot; opened, it can be changed. Only what differs from before is written. */
const props = defineProps<{ lot: LotView }>()

const cellar = useCellarStore()
const logged = useLogged()
const plan = computed(() => planOf(props.lot))
const draft = reactive<LotPlan>({ ...planOf(props.lot) })
watch(plan, (now) => Object.assign(draft, now))
const open = ref(false)
const saving = ref(false)

const items = (words: Record<string, string>) => Object.entries(words).map(([value, label]) => ({ value, label }))
const changed = computed(() => (Object.keys(draft) as (keyof LotPlan)[]).filter((key) => draft[key] !== plan.value[key]))
const short = computed(() =>
  [
    `malolactic ${MALOLACTIC[plan.value.malolactic]}`,
    FINISH[plan.value.finish],
    plan.value.sparkling ? 'sparkling' : 'still',
    ...(plan.value.oak ? ['with oak'] : []),
    ...(plan.value.cold ? ['cold winter'] : [])
  ].join(', ')
)

const SCHOOLS = computed(
  () =>
    [
      { key: 'sulphite', label: 'Sulphite', words: SULPHITE_SCHOOL },
      { key: 'yeast', label: 'Yeast', words: YEAST_SCHOOL },
      { key: 'nutrient', label: 'Nutrient', words: NUTRIENT_SCHOOL },
      { key: 'lees', label: 'When dry', words: LEES_SCHOOL },
      ...(draft.oak ? ([{ key: 'oakReady', label: 'Loose oak goes in', words: OAK_READY }] as const) : []),
      ...(props.lot.style === 'red' ? ([{ key: 'press', label: 'Pressed', words: PRESS_SCHOOL }] as const) : [])
    ] as const
)

async function save() {
  if (changed.value.length === 0) {
    open.value = false
    return
  }
  saving.value = true
  const said = Object.fromEntries(changed.value.map((key) => [key, draft[key]]))
  const written = await cellar.log([{ type: 'lot-planned', lotId: props.lot.id, ...said } as Draft<Fact>])
  saving.value = false
  if (!written) return
  open.value = false
  logged('Plan saved')
}
</script>

<template>
  <UCollapsible v-model:open="open" class="plan">
    <UButton
      variant="ghost"
      color="neutral"
      class="line font-normal rounded-none px-0 hover:bg-transparent"
      :aria-label="`Plan: ${short}. ${open ? 'Close' : 'Change'}`"
    >
      <span><span class="soft">Plan: </span>{{ short }}</span
      ><span class="textlink">{{ open ? 'Close' : 'Change' }}</span>
    </UButton>
    <template #content>
      <UForm :state="draft" class="fields sheet" @submit="save">
        <UFormField
          v-if="lot.stream !== 'kit'"
          label="Malolactic"
          name="malolactic"
          :help="draft.malolactic === 'blocked' ? 'With sulphite, cold and clean racking. Some risk remains in the bottle.' : undefined"
        >
          <USelect v-model="draft.malolactic" :items="items(MALOLACTIC)" class="w-full" />
        </UFormField>
        <p v-else class="soft">A kit has no malolactic: its acid is adjusted, and it often contains sulphite.</p>
        <UFormField label="Sweetness" name="finish"><USelect v-model="draft.finish" :items="items(FINISH)" class="w-full" /></UFormField>
        <UFormField v-for="s in SCHOOLS" :key="s.key" :label="s.label" :name="s.key"
        ><USelect v-model="draft[s.key]" :items="items(s.words)" class="w-full"
        /></UFormField>
        <div class="switches">
          <USwitch v-model="draft.cold" label="Cold winter, or weeks in the cold" /><USwitch v-model="draft.oak" label="Oak" /><USwitch
            v-model="draft.sparkling"
            label="Sparkling"
          /><USwitch v-if="lot.style === 'red' && isMust(lot)" v-model="draft.heated" label="Fruit heated for colour" />
        </div>
        <UButton type="submit" size="lg" :loading="saving" :disabled="changed.length === 0">Save plan</UButton>
      </UForm>
    </template>
  </UCollapsible>
</template>

<style scoped>
.plan {
  max-width: var(--measure);
}
.line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
  width: 100%;
  min-height: 44px;
  align-items: center;
  text-align: left;
  cursor: pointer;
  border-top: 1.5px solid var(--line);
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px 20px;
  padding: 16px;
}
.switches {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 28px;
}
@media (max-width: 640px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
