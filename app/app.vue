<script setup lang="ts">
import { en_gb } from '@nuxt/ui/locale'
import { useWindowSize } from '@vueuse/core'

const cellar = useCellarStore()
/** Messages stay clear of what is tapped next: over the shelf on a phone, in the corner elsewhere. */
const { width } = useWindowSize()
const corner = computed(() => (width.value < 768 ? 'top-center' : 'bottom-right'))
const route = useRoute()

// The address can name the demo, so that the printed link of `npm run demo` opens on it.
onMounted(async () => {
  await cellar.open(route.query.cellar === 'demo' ? 'demo' : undefined)
})
</script>

<template>
  <UApp :locale="en_gb" :toaster="{ position: corner, max: 1 }">
    <NuxtLayout>
      <NuxtPage v-if="cellar.ready" />
      <p v-else class="soft" role="status">Opening the cellar…</p>
    </NuxtLayout>
  </UApp>
</template>
