<script setup lang="ts">
import { CHANGES, HELP, KEYS } from '~/wording/help'
import { sayLongDay } from '~/wording/days'

/** How Presk works, in ten minutes; the keys; what is new. */
useHead({ title: 'How Presk works · Presk' })
</script>

<template>
  <div class="help">
    <h1>How Presk works</h1>
    <ol class="steps">
      <li v-for="h in HELP" :key="h.title">
        <div class="grid gap-2 content-start">
          <h2>{{ h.title }}</h2>
          <p v-for="t in h.text" :key="t">{{ t }}</p>
          <NuxtLink :to="h.to.path" class="textlink justify-self-start">{{ h.to.label }}</NuxtLink>
        </div>
        <img v-if="h.picture" :src="`/help/${h.picture.file}.png`" :alt="h.picture.alt" width="720" height="450" loading="lazy" />
      </li>
    </ol>
    <section id="keys">
      <h2>Keys</h2>
      <dl class="explained" style="--term: 12rem">
        <div v-for="k in KEYS" :key="k.keys"><dt>{{ k.keys }}</dt><dd>{{ k.does }}</dd></div>
      </dl>
    </section>
    <section id="changes">
      <h2>What is new</h2>
      <ul class="list-disc ps-5">
        <li v-for="c in CHANGES" :key="c.what">{{ c.what }} <span class="soft small">{{ sayLongDay(c.on) }}</span></li>
      </ul>
    </section>
    <p><NuxtLink to="/words" class="textlink">Glossary</NuxtLink></p>
  </div>
</template>

<style scoped>
.help { display: grid; gap: 24px; }
.steps { display: grid; gap: 22px; }
.steps li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 460px);
  gap: 12px 40px;
  border-top: 1.5px solid var(--line);
  padding-top: 16px;
}
.steps p { max-width: var(--measure); }
img { width: 100%; height: auto; border: 1.5px solid var(--line); border-radius: 8px; }
@media (max-width: 760px) { .steps li { grid-template-columns: minmax(0, 1fr); } }
</style>
