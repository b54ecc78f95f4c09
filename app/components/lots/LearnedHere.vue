<script setup lang="ts">
import { type Habit, habitKey, habitSpans } from '~~/core/way'
import { clockNow } from '~/data/clock'
import { type HabitFormat, type MassSaid, sayHabit, sayHabitSpan, sayHabitValue, sayKind, sayLotsOf } from '~/wording/habits'
import { useFormat } from '~/composables/useFormat'
import { useHabits } from '~/composables/useHabits'
import { useMessage } from '~/composables/useMessage'
import { useSettingsStore } from '~/stores/settings'

/** What this cellar's own lots say of the next, what that rests on, and forgetting it. */
const settings = useSettingsStore()
const f = useFormat()
const message = useMessage()
const habits = useHabits()
const said = computed<HabitFormat>(() => ({ mass: f.massUnit.value as MassSaid, volume: f.volume }))
const titleOf = ({ code }: Habit) => sayHabit(code, said.value.mass)
const rows = computed(() => habits.value.flatMap((habit) => {
  const spans = habitSpans(habit)
  return spans ? [{ habit, key: habitKey(habit), title: titleOf(habit), ...spans }] : []
}))
const forgotten = computed(() => Object.keys(settings.values.forgotten).length > 0)
function forget(habit: Habit) {
  const before = settings.values.forgotten
  settings.change({ forgotten: { ...before, [habitKey(habit)]: clockNow() } })
  message({
    title: `${titleOf(habit)}, ${sayKind(habit.kind).toLowerCase()}: forgotten`,
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
      <li v-for="{ habit, key, title, usual, here } in rows" :key="key">
        <div>
          <b>{{ title }}</b> <span class="soft">{{ sayKind(habit.kind) }}</span>
        </div>
        <div>
          <span class="figure">{{ sayHabitSpan(habit.code, here, said) }}</span>
          <span class="soft small block">usually {{ sayHabitSpan(habit.code, usual, said) }}</span>
        </div>
        <FoldOut :label="`From ${sayLotsOf(habit.lots.length, habit.kind)}`">
          <ol>
            <li v-for="lot in habit.lots" :key="lot.lotId">
              <NuxtLink :to="`/lots/${lot.lotId}`" class="textlink">{{ lot.name }}</NuxtLink>:
              {{ sayHabitValue(habit.code, lot.value, said) }}
            </li>
          </ol>
          <UButton
            variant="outline" color="neutral" class="mt-2" :aria-label="`Forget: ${title}, ${sayKind(habit.kind)}`"
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
