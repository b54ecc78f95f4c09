<script setup lang="ts">
/** Above what is for paper: print it, or go back. It is not printed itself. */
defineProps<{ back: string, label: string }>()
defineEmits<{ print: [] }>()
</script>

<template>
  <div class="ways noprint mb-5">
    <UButton size="lg" icon="i-lucide-printer" @click="$emit('print')">Print, or save as PDF</UButton>
    <NuxtLink :to="back" class="textlink">Back to {{ label }}</NuxtLink>
    <slot />
  </div>
</template>
