<script setup lang="ts">
import { taskOf } from '~~/core/advice'
import type { FloorItem } from '~/composables/useFloor'

const cellar = useCellarStore()
const settings = useSettingsStore()
const floor = useFloor()
const story = useStory()

const numbered = computed(() => floor.items.value.filter(i => i.number))
const waiting = computed(() => floor.items.value.filter(i => !i.number))
const logged = useLogged()
async function skip(item: FloorItem) {
  if (!await cellar.log([{ type: 'task-ended', lotId: item.lot.id, task: taskOf(item.move), outcome: 'skipped' }])) return
  logged(`${item.words.title}: put off until tomorrow`)
}
const COUNT = ['Nothing', 'One thing', 'Two things', 'Three things', 'Four things', 'Five things', 'Six things', 'Seven things', 'Eight things', 'Nine things']
const heading = computed(() => `${COUNT[numbered.value.length] ?? `${numbered.value.length} things`} on the floor`)
const recent = computed(() => story.latest(5))
useHead({ title: 'Today · Presk' })
</script>

<template>
  <WelcomePage v-if="!cellar.isDemo && !settings.values.asked" />
  <EmptyCellar v-else-if="cellar.lots.length === 0" />
  <div v-else>
    <TodayTabs />
    <div class="today">
      <section>
        <h1>{{ heading }}</h1>
        <ol class="moves">
          <li v-for="item in numbered" :key="item.lot.id">
            <span class="number figure" aria-hidden="true">{{ item.number }}</span>
            <div class="what">
              <NuxtLink :to="`/lots/${item.lot.id}`" class="lot">{{ item.lot.name }}</NuxtLink>
              <h2>{{ item.words.title }}</h2>
              <p class="soft">{{ item.words.reason }}</p>
            </div>
            <span class="acts">
              <UButton v-if="item.words.to" :to="item.words.to" :aria-label="`${item.words.action}: ${item.lot.name}`" size="lg">{{ item.words.action }}</UButton>
              <button type="button" class="skip small" :aria-label="`Not today: ${item.words.title}, ${item.lot.name}`" @click="skip(item)">Not today</button>
            </span>
          </li>
        </ol>
        <ul v-if="waiting.length" class="moves rest">
          <li v-for="item in waiting" :key="item.lot.id">
            <span class="number hollow" aria-hidden="true" />
            <div class="what">
              <NuxtLink :to="`/lots/${item.lot.id}`" class="lot">{{ item.lot.name }}</NuxtLink>
              <h2>{{ item.words.title }}</h2>
              <p class="soft">{{ item.words.reason }}</p>
            </div>
          </li>
        </ul>
        <LazyShortageNote class="mt-5" />
        <UButton to="/lots/new" variant="outline" size="lg" icon="i-lucide-plus" class="mt-5">Start a lot</UButton>
      </section>
      <aside aria-label="Lately">
        <h2>Lately</h2>
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
.today { display: grid; grid-template-columns: minmax(0, 1fr) 330px; gap: 56px; }
.moves { margin-top: 18px; }
.moves li { display: grid; grid-template-columns: 34px minmax(0, 1fr) auto; gap: 4px 16px; align-items: center; padding: 14px 0; border-top: 1.5px solid var(--line); }
.rest { margin-top: 0; }
.number { width: 34px; height: 34px; border-radius: 17px; display: grid; place-items: center; background: var(--skin); color: var(--on-skin); font-size: 1.15rem; align-self: start; }
.number.hollow { background: none; border: 2px dashed var(--line-strong); }
.acts { display: grid; justify-items: center; }
.skip { min-height: 44px; padding: 0 10px; color: var(--ink-soft); border-radius: 8px; cursor: pointer; }
.skip:hover { text-decoration: underline; }
.lot { font-weight: 600; color: var(--ink-soft); }
.lot:hover { text-decoration: underline; }
.rest h2 { font-weight: 500; font-size: 1.1rem; }
aside { border-left: 1.5px solid var(--line); padding-left: 32px; }
.lately li { display: grid; gap: 1px; padding: 10px 0; border-top: 1.5px solid var(--line); overflow-wrap: anywhere; }
.lately li:first-child { border-top: 0; }
@media (max-width: 900px) { .today { grid-template-columns: 1fr; gap: 28px; } aside { border-left: 0; padding-left: 0; } }
@media (max-width: 560px) { .moves li { grid-template-columns: 34px minmax(0, 1fr); } .moves li > :nth-child(3) { grid-column: 2; justify-self: start; margin-top: 6px; display: flex; align-items: center; gap: 8px; } }
</style>
