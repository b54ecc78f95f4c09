<script setup lang="ts">
import { en_gb } from '@nuxt/ui/locale'

const cellar = useCellarStore()
const route = useRoute()

// The address can name the demo, so that the printed link of `npm run demo` opens on it.
onMounted(async () => {
  await cellar.open(route.query.cellar === 'demo' ? 'demo' : undefined)
})
</script>

<template>
  <!-- Messages stay clear of what is tapped next, which is at the foot of a form: they come over the shelf. -->
  <UApp :locale="en_gb" :toaster="{ position: 'top-center', max: 1 }">
    <NuxtLayout>
      <NuxtPage v-if="cellar.ready" />
      <p v-else class="soft" role="status">Opening the cellar…</p>
    </NuxtLayout>
  </UApp>
</template>
