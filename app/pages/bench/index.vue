<script setup lang="ts">
import { BENCH_GROUPS } from '~/wording/benches'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

const { lot } = useLotFromAddress()
/** With a lot: what fits what it is now, and the rest on a tap. */
const groups = computed(() => {
  const l = lot.value
  if (!l) return BENCH_GROUPS
  return BENCH_GROUPS
    .map((g) => ({ ...g, benches: g.benches.filter((b) => b.fits.includes(l.standing)) }))
    .filter((g) => g.benches.length > 0)
})
const others = computed(() => {
  const l = lot.value
  return l ? BENCH_GROUPS.flatMap((g) => g.benches).filter((b) => !b.fits.includes(l.standing)) : []
})
useHead({ title: 'Bench · Presk' })
</script>

<template>
  <div>
    <div class="title">
      <h1>Bench</h1>
      <BenchLotPicker :lot="lot" />
    </div>
    <p class="soft">
      {{ lot ? `What fits ${lot.name} now, with its figures.` : 'All calculations. Choose a lot, or enter figures of your own.' }}
    </p>
    <p v-if="groups.length === 0" class="mt-5">Nothing is left to work out for {{ lot?.name }}.</p>
    <div class="groups">
      <section v-for="g in groups" :key="g.question" :aria-label="g.question">
        <h2>{{ g.question }}</h2>
        <ul>
          <li v-for="b in g.benches" :key="b.to">
            <NuxtLink :to="lot ? { path: b.to, query: { lot: lot.id } } : b.to"
            ><b class="name">{{ b.name }}</b>
              <span class="soft block">{{ b.what }}</span></NuxtLink
            >
          </li>
        </ul>
      </section>
    </div>
    <FoldOut v-if="others.length" class="mt-5" :label="`Calculations that do not fit ${lot?.name} now`">
      <ul class="flex flex-wrap gap-x-6 gap-y-2">
        <li v-for="b in others" :key="b.to">
          <NuxtLink :to="{ path: b.to, query: { lot: 'none' } }" class="textlink">{{ b.name }}</NuxtLink>
        </li>
      </ul>
    </FoldOut>
    <p class="mt-5"><NuxtLink to="/words" class="textlink">Glossary</NuxtLink></p>
  </div>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.groups {
  margin-top: 20px;
  columns: 2 340px;
  column-gap: 56px;
}
section {
  break-inside: avoid;
  margin-bottom: 26px;
}
h2 {
  font-size: 1.3rem;
  margin-bottom: 4px;
}
.groups li {
  border-top: 1.5px solid var(--line);
}
.groups a {
  display: block;
  padding: 10px 4px;
  border-radius: 6px;
}
.name {
  font-weight: 600;
}
.groups a:hover .name {
  text-decoration: underline;
  text-underline-offset: 4px;
  text-decoration-thickness: 2px;
}
</style>
