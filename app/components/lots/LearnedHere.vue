<script setup lang="ts">
import { type Habit, habitKey, habitsOf } from '~~/core/way'
import { clockNow } from '~/data/clock'
import { HABIT, sayHabitSpan, sayKind, sayLotsOf, spansOf } from '~/wording/habits'

/** What this cellar's own lots say of the next, what that rests on, and forgetting it. */
const cellar = useCellarStore()
const settings = useSettingsStore()
const f = useFormat()
const message = useMessage()
const habits = computed(() => habitsOf(cellar.lots, settings.values.forgotten))
const rows = computed(() => habits.value.flatMap((habit) => {
  const spans = spansOf(habit)
  return spans ? [{ habit, key: habitKey(habit), ...spans }] : []
}))
const litres = (x: number) => f.words(f.volume(x))
const forgotten = computed(() => Object.keys(settings.values.forgotten).length > 0)
function forget(habit: Habit) {
  const before = settings.values.forgotten
  settings.change({ forgotten: { ...before, [habitKey(habit)]: clockNow() } })
  message({
    title: `${HABIT[habit.code]}, ${sayKind(habit.kind).toLowerCase()}: forgotten`,
    actions: [{ label: 'Undo', variant: 'outline', onClick: () => settings.change({ forgotten: before }) }]
  })
}
</script>

<template>
  <section class="learned">
    <h2>What Presk has learned here</h2>
    <p class="soft">
      Your own lots change what Presk expects of the next: the more of them and the more alike they are, the closer the range. It still
      should hold four times out of five.
    </p>
    <ul v-if="rows.length">
      <li v-for="{ habit, key, usual, here } in rows" :key="key">
        <div>
          <b>{{ HABIT[habit.code] }}</b> <span class="soft">{{ sayKind(habit.kind) }}</span>
        </div>
        <div>
          <span class="figure">{{ sayHabitSpan(habit.code, here, litres) }}</span>
          <span class="soft small block">usually {{ sayHabitSpan(habit.code, usual, litres) }}</span>
        </div>
        <FoldOut :label="`From ${sayLotsOf(habit.lots.length, habit.kind)}`">
          <ol>
            <li v-for="lot in habit.lots" :key="lot.lotId">
              <NuxtLink :to="`/lots/${lot.lotId}`" class="textlink">{{ lot.name }}</NuxtLink>:
              {{ habit.code === 'wine-per-kg' ? litres(lot.value) : `${Math.round(lot.value)} days` }}
            </li>
          </ol>
          <UButton
            variant="outline" color="neutral" class="mt-2" :aria-label="`Forget: ${HABIT[habit.code]}, ${sayKind(habit.kind)}`"
            @click="forget(habit)"
          >Forget this</UButton>
        </FoldOut>
      </li>
    </ul>
    <p v-else>Nothing yet. Finished ferments, malolactics and pressings are counted here.</p>
    <UButton
      v-if="forgotten" variant="link" class="justify-self-start" @click="settings.change({ forgotten: {} })"
    >Count everything again</UButton>
  </section>
</template>

<style scoped>
.learned {
  display: grid;
  gap: 12px;
}
.learned > ul > li {
  display: grid;
  grid-template-columns: minmax(12rem, 1fr) minmax(14rem, 1.2fr) minmax(10rem, 1fr);
  gap: 2px 20px;
  padding: 10px 0;
  border-top: 1.5px solid var(--line);
}
@media (max-width: 700px) {
  .learned > ul > li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
