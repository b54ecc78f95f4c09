<script setup lang="ts" generic="Value extends string">
/** One of a few, as buttons in a row that scrolls where it does not fit; the one that is shown stays pressed. */
defineProps<{ label: string, items: readonly { value: Value, label: string }[] }>()
const value = defineModel<Value>({ required: true })
</script>

<template>
  <ScrollRow>
    <div class="flex gap-1.5" role="group" :aria-label="label">
      <UButton
        v-for="i in items"
        :key="i.value"
        :variant="value === i.value ? 'solid' : 'outline'"
        :aria-pressed="value === i.value"
        class="flex-none"
        @click="value = i.value"
      >{{ i.label }}</UButton>
    </div>
  </ScrollRow>
</template>
