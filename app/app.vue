<script setup lang="ts">
import { en_gb } from '@nuxt/ui/locale'
import { useMediaQuery } from '@vueuse/core'
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
/** Where the tab bar is at the foot: see the layout. */
const phone = useMediaQuery('(max-width: 760px)')

// The shelf first, the page in the next task: so neither holds up what is tapped meanwhile.
const shown = ref(false)
watch(
  () => cellar.ready,
  (ready) => (ready ? setTimeout(() => (shown.value = cellar.ready)) : (shown.value = false)),
  { immediate: true }
)
</script>

<template>
  <!--
    Messages stay clear of what is tapped next: over the shelf on a laptop, and on a phone above the tab bar, in reach of the thumb that
    may want to undo, and above a button that is kept in sight there.
  -->
  <UApp :locale="en_gb" :toaster="{ position: phone ? 'bottom-center' : 'top-center', max: 1 }">
    <NuxtRouteAnnouncer />
    <NuxtLayout>
      <NuxtPage v-if="shown" />
      <p v-else class="soft" role="status">Opening the cellar…</p>
    </NuxtLayout>
  </UApp>
</template>
