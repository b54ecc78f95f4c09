<script setup lang="ts">
import { type Absence, duringAbsence } from '~~/core/way'
import { dayHere } from '~/wording/days'
import { useFloor } from '~/composables/useFloor'
import { useNow } from '~/composables/useNow'

/** From a day to a day: what has to be done before, what can wait, and what is at risk. */
const floor = useFloor()
const route = useRoute()
const router = useRouter()
const now = useNow()
const asked = (name: 'from' | 'to') =>
  computed({
    get: () => (/^\d{4}-\d{2}-\d{2}$/.test(String(route.query[name] ?? '')) ? String(route.query[name]) : ''),
    set: (day: string) => void router.replace({ query: { ...route.query, [name]: day || undefined } })
  })
const [from, to] = [asked('from'), asked('to')]
const backwards = computed(() => from.value !== '' && to.value !== '' && to.value <= from.value)
/** Morning of a local day, as an instant. */
const morning = (day: string): string => {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number]
  return new Date(y, m - 1, d, 8).toISOString()
}
const WORDS: Record<Absence, { title: string, none: string }> = {
  'before': { title: 'Do before you leave', none: 'Nothing has to be done before you leave.' },
  'at-risk': { title: 'Ask a friend', none: 'Nothing falls due while you are away that cannot wait.' },
  'waits': { title: 'Can wait', none: 'Nothing is waiting.' }
}
const lists = computed(() => {
  if (!from.value || !to.value || backwards.value) return []
  const [leaves, back] = [morning(from.value), morning(to.value)]
  const all = floor.items.value.flatMap(({ lot, tasks }) =>
    tasks.map((task) => ({ lot, task, fares: duringAbsence(task.finding, leaves, back) }))
  )
  return (['before', 'at-risk', 'waits'] as const).map((fares) => ({ fares, ...WORDS[fares], tasks: all.filter((t) => t.fares === fares) }))
})
const first = computed(() => dayHere(now.value))
</script>

<template>
  <section class="away" aria-labelledby="away">
    <h2 id="away">Going away?</h2>
    <p class="soft">Enter your dates to see what to do first.</p>
    <div class="days">
      <UFormField label="Away from"><UInput v-model="from" type="date" size="lg" :min="first" /></UFormField>
      <UFormField label="Back on" :error="backwards ? 'You come back before you leave.' : undefined">
        <UInput v-model="to" type="date" size="lg" :min="from || first" />
      </UFormField>
    </div>
    <div v-if="lists.length" class="lists">
      <div v-for="l in lists" :key="l.fares" :class="l.fares">
        <h3>{{ l.title }}</h3>
        <p v-if="l.tasks.length === 0" class="soft">{{ l.none }}</p>
        <ul v-else>
          <li v-for="t in l.tasks" :key="t.lot.id + t.task.finding.key">
            <NuxtLink v-if="t.task.to" :to="t.task.to" class="textlink">{{ t.task.words.title }}</NuxtLink>
            <b v-else>{{ t.task.words.title }}</b>
            <span class="soft small block">{{ t.lot.name }}</span>
          </li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
.away {
  margin-top: 34px;
}
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 18px;
  margin: 12px 0 18px;
}
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
  gap: 18px 28px;
}
li {
  padding: 8px 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
