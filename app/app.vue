<script setup lang="ts">
import { en_gb } from '@nuxt/ui/locale'

const cellar = useCellarStore()

// The shelf first, the page in the next task: so neither holds up what is tapped meanwhile.
const shown = ref(false)
watch(
  () => cellar.ready,
  (ready) => (ready ? setTimeout(() => (shown.value = cellar.ready)) : (shown.value = false)),
  { immediate: true }
)
</script>

<template>
  <!-- Messages stay clear of what is tapped next, which is at the foot of a form: they come over the shelf. -->
  <UApp :locale="en_gb" :toaster="{ position: 'top-center', max: 1 }">
    <NuxtRouteAnnouncer />
    <NuxtLayout>
      <NuxtPage v-if="shown" />
      <p v-else class="soft" role="status">Opening the cellar…</p>
    </NuxtLayout>
  </UApp>
</template>
