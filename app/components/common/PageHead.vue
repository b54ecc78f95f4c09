<script setup lang="ts">
/** The head of a page: what it is, a line about it, and beside them what one does with all of it. */
defineProps<{ title: string, lead?: string }>()
</script>

<template>
  <header class="page-head">
    <div>
      <h1>{{ title }}</h1>
      <p v-if="lead" class="soft">{{ lead }}</p>
    </div>
    <slot />
  </header>
</template>

<style scoped>
.page-head {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 12px 24px;
  margin-bottom: 14px;
}
</style>
