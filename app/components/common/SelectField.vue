<script setup lang="ts" generic="Value extends string | number | boolean">
/** One of a few, in a form. `words` is a table of codes and what they are called; `items` is for lists that are made. */
const props = defineProps<{
  label: string
  name?: string
  hint?: string | undefined
  error?: string | undefined
  words?: Record<string, string>
  items?: readonly { value: Value, label: string, disabled?: boolean }[]
  placeholder?: string
  /** The label is visible elsewhere; here it is for screen readers only. */
  quiet?: boolean
}>()
const value = defineModel<Value>({ required: true })

/** The list takes texts; what is chosen comes back as what it was. Nothing chosen is a value of its own there. */
const NONE = '·none·'
const all = computed(() => props.items ?? Object.entries(props.words ?? {}).map(([key, label]) => ({ value: key as Value, label })))
const keyOf = (v: Value) => (v === '' ? NONE : String(v))
const chosen = computed({
  get: () => keyOf(value.value),
  set: (key: string) => {
    const found = all.value.find((item) => keyOf(item.value) === key)
    if (found) value.value = found.value
  }
})
const list = computed(() => all.value.map((item) => ({ ...item, value: keyOf(item.value) })))
/** Without an item for nothing, nothing is chosen yet. */
const shown = computed(() => (list.value.some((item) => item.value === chosen.value) ? chosen.value : undefined))
</script>

<template>
  <UFormField :label="quiet ? undefined : label" :name="name" :help="error ? undefined : hint" :error="error" class="min-w-0">
    <USelect
      :model-value="shown"
      :items="list"
      :placeholder="placeholder"
      :aria-label="label"
      class="w-full"
      :ui="{ base: 'h-[50px]' }"
      @update:model-value="chosen = $event as string"
    />
    <template v-if="error" #error="{ error: said }"
    ><span role="alert">{{ said }}</span></template
    >
  </UFormField>
</template>
