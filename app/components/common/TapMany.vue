<script setup lang="ts" generic="Value extends string">
/** Any of a few, each a tap: for a thumb in a glove. */
const props = defineProps<{ legend: string, items: readonly { value: Value, label: string }[] }>()
const value = defineModel<Value[]>({ required: true })
const chosen = computed({ get: () => [...value.value] as string[], set: (is: string[]) => (value.value = is as Value[]) })
const list = computed(() => props.items.map(({ value: v, label }) => ({ value: v as string, label })))
</script>

<template>
  <UCheckboxGroup
    v-model="chosen"
    :legend="legend"
    :items="list"
    variant="card"
    orientation="horizontal"
    indicator="hidden"
    :ui="{ fieldset: 'flex-wrap gap-2', item: 'min-h-[46px] items-center px-3.5 py-2', wrapper: 'ms-0' }"
  />
</template>
