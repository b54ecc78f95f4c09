<script setup lang="ts" generic="Value extends string | number | boolean">
/** One of a few, all in sight: large enough for a thumb in a glove. */
const props = defineProps<{
  legend: string
  items: readonly { value: Value, label: string, hint?: string | undefined }[]
  /** Least width of a tile, px. */
  least?: number
}>()
const value = defineModel<Value>({ required: true })

const chosen = computed({
  get: () => String(value.value),
  set: (key: string) => {
    const found = props.items.find((item) => String(item.value) === key)
    if (found) value.value = found.value
  }
})
/** The hint belongs to the name of the choice: it is read out with it. */
const list = computed(() => props.items.map(({ value: v, label, hint }) => ({ value: String(v), label, hint })))
</script>

<template>
  <!-- Its names are read once when it is drawn: other words want another drawing. -->
  <URadioGroup
    :key="list.map((item) => `${item.value}${item.label}${item.hint ?? ''}`).join('|')"
    v-model="chosen"
    :legend="legend"
    :items="list"
    variant="card"
    orientation="horizontal"
    indicator="start"
    :ui="{ fieldset: 'grid gap-2.5 grid-cols-[repeat(auto-fit,minmax(min(var(--least),100%),1fr))]' }"
    :style="{ '--least': `${least ?? 150}px` }"
  >
    <template #label="{ item }">
      {{ item.label }}<span v-if="item.hint" class="block text-[0.86rem] font-normal text-(--ink-soft)">{{ item.hint }}</span>
    </template>
  </URadioGroup>
</template>
