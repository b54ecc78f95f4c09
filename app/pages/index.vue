<script setup lang="ts">
import { isHeld } from '~~/core/ledger'
import { SITTINGS, type SittingCode, sittingOf } from '~~/core/way'
import { counted } from '~/wording/count'
import { useFloor } from '~/composables/useFloor'
import { useGradually } from '~/composables/useGradually'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const cellar = useCellarStore()
const settings = useSettingsStore()
const floor = useFloor()
const story = useStory()

const numbered = computed(() => floor.items.value.filter((i) => i.number !== undefined))
/** What is empty has its history under Lots, and nothing to say here. */
const waiting = computed(() => floor.items.value.filter((i) => i.number === undefined && (isHeld(i.lot) || i.tasks.length > 0)))
/** The worst that is wrong with each lot; the rest, and what is only good to know, is on the lot's own page. */
const wrong = computed(
  () =>
    new Map(
      floor.items.value.flatMap(({ lot, findings }) => {
        const own = findings.filter(({ finding }) => ['stop', 'now', 'soon'].includes(finding.urgency))
        return own[0] ? [[lot.id, { lot, said: own[0], more: own.length - 1 }] as const] : []
      })
    )
)
/** What cannot wait, and what is wrong where nothing else is to be done, has a place of its own; the rest is said with the lot's task. */
const pressing = computed(() => {
  const tasks = new Set(numbered.value.map((i) => i.lot.id))
  return [...wrong.value.values()].filter(({ lot, said }) => said.finding.urgency === 'stop' || !tasks.has(lot.id))
})
const alertOf = (lotId: string) => {
  const alert = wrong.value.get(lotId)
  return alert && !pressing.value.includes(alert) ? alert : undefined
}
/** In a larger cellar the first few alerts, the rest on a tap, and tasks in one line each: the way through the cellar stays in sight. */
const FEW = 4
const allPressing = ref(false)
const pressingShown = computed(() => (allPressing.value ? pressing.value : pressing.value.slice(0, FEW)))
const drawn = useGradually(() => numbered.value.length + waiting.value.length, 5)
const waitingDrawn = computed(() => waiting.value.slice(0, Math.max(0, drawn.value - numbered.value.length)))
/** What is wrong is something to do, also where no task is due. */
const heading = computed(() =>
  numbered.value.length > 0 ? `${counted(numbered.value.length, 'task')} today`
    : pressing.value.length > 0 ? `${counted(pressing.value.length, 'warning')} today` : 'Nothing to do today')
/** One sitting of the day, in the address: its tasks of every lot, not only the first of each. */
const route = useRoute()
const router = useRouter()
const sitting = computed<SittingCode | undefined>({
  get: () => SITTINGS.find((s) => s === route.query.sitting),
  set: (code) => void router.replace({ query: { ...route.query, sitting: code } })
})
const ofSitting = computed(() =>
  floor.items.value.flatMap(({ lot, tasks }) =>
    tasks.filter(({ finding }) => finding.urgency !== 'wait' && sittingOf(finding) === sitting.value).map((said) => ({ lot, said }))
  )
)
const weighs = computed(() =>
  floor.items.value.some(({ tasks }) => tasks.some(({ finding }) => finding.urgency !== 'wait' && finding.amounts?.length))
)
const recent = computed(() => story.latest(5))
/** What waits or rests is said in words, as a task without a number. */
const restOf = (item: (typeof waiting.value)[number]) => item.tasks[0] ?? { words: item.next.words }
useHead({ title: 'Today · Presk' })
</script>

<template>
  <LazyWelcomePage v-if="!cellar.isDemo && !cellar.isPractice && !settings.values.asked" />
  <LazyEmptyCellar v-else-if="cellar.lots.length === 0" />
  <div v-else>
    <TodayTabs />
    <div class="beside">
      <section class="today">
        <h1 class="heading">{{ heading }}</h1>
        <TodaySittings v-model="sitting" />
        <div v-if="pressing.length" class="grid gap-2 mb-2">
          <FindingLine
            v-for="p in pressingShown"
            :key="p.lot.id + p.said.finding.key"
            :said="p.said"
            :lot="p.lot.name"
            :more="p.more ? { count: p.more, to: `/lots/${p.lot.id}` } : undefined"
          />
          <UButton v-if="pressing.length > FEW" variant="link" class="px-0 justify-self-start" @click="allPressing = !allPressing">
            {{ allPressing ? 'Show the first few' : `Show what is wrong with ${counted(pressing.length - FEW, 'more lot')}` }}
          </UButton>
        </div>
        <ol v-if="sitting" aria-label="Tasks of this sitting">
          <TaskLine v-for="(t, i) in ofSitting" :key="t.lot.id + t.said.finding.key" :lot="t.lot" :said="t.said" :number="i + 1" />
        </ol>
        <ol v-else>
          <TaskLine
            v-for="item in numbered.slice(0, drawn)"
            :key="item.lot.id"
            :lot="item.lot"
            :said="item.tasks[0]!"
            :number="item.number"
            :alert="alertOf(item.lot.id)"
            :compact="numbered.length > FEW"
          />
        </ol>
        <div class="later">
          <template v-if="waitingDrawn.length && !sitting">
            <h2 class="mt-5 mb-1">Coming up</h2>
            <ul>
              <TaskLine
                v-for="item in waitingDrawn"
                :key="item.lot.id"
                :lot="item.lot"
                :said="restOf(item)"
                :compact="numbered.length > FEW"
              />
            </ul>
          </template>
          <HouseTasks />
          <LazyShortageNote class="mt-5" />
          <div class="flex flex-wrap gap-3 mt-5">
            <UButton to="/lots/new" variant="outline" size="lg" icon="i-lucide-plus">Start a lot</UButton>
            <UButton v-if="weighs" to="/round/weighing" variant="outline" size="lg" icon="i-lucide-scale">Weighing list</UButton>
          </div>
        </div>
      </section>
      <aside aria-label="Recent entries">
        <h2>Recent entries</h2>
        <ol class="lately">
          <li v-for="line in recent" :key="line.id">
            <span class="soft small">{{ line.when }} · {{ line.lot }}</span>
            <span>{{ line.text }}</span>
          </li>
        </ol>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.heading {
  font-size: 1.7rem;
  margin-bottom: 6px;
}
aside {
  align-self: stretch;
  border-left: 1.5px solid var(--line);
  padding-left: 32px;
}
.lately li {
  display: grid;
  gap: 1px;
  padding: 10px 0;
  border-top: 1.5px solid var(--line);
  overflow-wrap: anywhere;
}
.lately li:first-child {
  border-top: 0;
}
/* On a phone the tasks come first, and what can be done together after them. */
@media (max-width: 560px) {
  .heading {
    margin-bottom: 2px;
  }
  .today {
    display: flex;
    flex-direction: column;
  }
  .today > .sittings {
    order: 1;
    margin-top: 12px;
  }
  .today > .later {
    order: 2;
  }
}
@media (max-width: 900px) {
  aside {
    border-left: 0;
    padding-left: 0;
  }
}
</style>
