<script setup lang="ts">
import { vesselTasksOf } from '~~/core/stages'
import { sayVessel } from '~/wording/findings'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** What empty vessels ask for, in one line each kind: they belong to no lot. */
const cellar = useCellarStore()
const now = useNow()
const due = computed(() => vesselTasksOf(cellar.state.vessels.values(), now.value).filter((t) => t.urgency === 'soon'))
const toWash = computed(() => due.value.flatMap((t) => (t.code === 'wash-vessel' ? [t.name] : [])))
const others = computed(() => due.value.filter((t) => t.code !== 'wash-vessel').map((t) => ({ key: t.key, ...sayVessel(t) })))
const list = computed(() =>
  toWash.value.length < 5 ? toWash.value.join(', ') : `${toWash.value.slice(0, 4).join(', ')} and ${toWash.value.length - 4} more`
)
</script>

<template>
  <section v-if="due.length" class="mt-5 grid gap-1 rule pt-3" aria-label="Empty vessels">
    <p v-if="toWash.length"><NuxtLink to="/cellar" class="textlink">Wash the empty vessels</NuxtLink>: {{ list }}.</p>
    <p v-for="o in others" :key="o.key">
      <NuxtLink to="/cellar" class="textlink">{{ o.title }}</NuxtLink
      >. <span class="soft">{{ o.reason }}</span>
    </p>
  </section>
</template>
