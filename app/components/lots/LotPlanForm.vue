<script setup lang="ts">
import { type LotView, planOf, unusualIn } from '~~/core/ledger'
import { fact } from '~~/core/drafts'
import { newId } from '~/data/ids'
import { FINISH, MALOLACTIC } from '~/wording/plan'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** The plan of the lot; opened, it can be changed, and kept under a name. */
const props = defineProps<{ lot: LotView }>()

const cellar = useCellarStore()
const logged = useLogged()
const plan = computed(() => planOf(props.lot))
const open = ref(false)
const saved = () => {
  open.value = false
  logged('Plan saved')
}
const short = computed(() =>
  [
    `malolactic ${MALOLACTIC[plan.value.malolactic]}`,
    FINISH[plan.value.finish],
    plan.value.sparkling ? 'sparkling' : 'still',
    ...(plan.value.oak ? ['with oak'] : []),
    ...(plan.value.cold ? ['cold winter'] : [])
  ].join(', ')
)

/** Kept under a name, for the next lot of its kind. */
const mayKeep = computed(() => props.lot.stream !== 'test' && props.lot.stream !== 'blend')
const name = ref('')
const nameless = ref(false)
async function keep() {
  nameless.value = name.value.trim() === ''
  if (nameless.value) return
  const { id: fromLotId, stream, style } = props.lot
  const kept = fact('plan-kept', {
    planId: newId(), name: name.value.trim().slice(0, 80), stream, style, plan: unusualIn(plan.value, style, stream), fromLotId
  })
  if (!(await cellar.log([kept]))) return
  logged(`Plan “${name.value.trim()}” kept`)
  name.value = ''
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
      <div class="sheet p-4">
        <p v-if="lot.stream === 'kit'" class="soft mb-3">A kit has no malolactic: its acid is adjusted, and it often contains sulphite.</p>
        <EntryForm type="lot-planned" :lot="lot" send="Save plan" @done="saved" />
      </div>
      <form v-if="mayKeep" class="keep" novalidate @submit.prevent="keep">
        <TextField
          v-model="name"
          label="Keep this plan for later lots"
          placeholder="a name for it"
          :maxlength="80"
          :error="nameless && !name.trim() ? 'A plan needs a name.' : undefined"
        />
        <UButton type="submit" variant="outline" size="lg">Keep plan</UButton>
        <NuxtLink to="/lots/plans" class="textlink">Kept plans</NuxtLink>
      </form>
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
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: end;
  padding: 14px 16px 4px;
}
</style>
