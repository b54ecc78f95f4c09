<script setup lang="ts">
/** More of it, opened by a tap; what is in it comes when it is shown. */
defineProps<{ label: string }>()
const open = defineModel<boolean>('open', { default: false })
</script>

<template>
  <UCollapsible v-model:open="open">
    <UButton variant="link" class="px-0 justify-start" :icon="open ? 'i-lucide-minus' : 'i-lucide-plus'">
      {{ label }}
    </UButton>
    <template #content
    ><div class="pt-2 pb-1"><slot /></div
    ></template>
  </UCollapsible>
</template>
