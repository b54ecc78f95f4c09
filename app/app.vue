<script setup lang="ts">
const cellar = useCellarStore()
const route = useRoute()

// The address can name the demo, so that the printed link of `npm run demo` opens on it.
onMounted(async () => {
  await cellar.open(route.query.cellar === 'demo' ? 'demo' : undefined)
})
</script>

<template>
  <UApp :toaster="{ position: 'bottom-center', max: 1 }">
    <NuxtLayout>
      <NuxtPage v-if="cellar.ready" />
      <p v-else class="soft" role="status">Opening the cellar…</p>
    </NuxtLayout>
  </UApp>
</template>
