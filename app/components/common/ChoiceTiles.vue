<script setup lang="ts" generic="Value extends string | number | boolean">
/** One of a few, all in sight: large enough for a thumb in a glove. */
const props = defineProps<{
  legend: string
  items: readonly { value: Value, label: string, hint?: string | undefined }[]
  /** Least width of a tile, px. */
  least?: number
}>()
const value = defineModel<Value>({ required: true })

/**
 * The hint belongs to the name of the choice: it is read out with it. The library looks for that name in the document and, on a page that
 * is not in it yet, takes the item's value for its name: so the words are the value as well.
 */
const wordsOf = ({ label, hint }: (typeof props.items)[number]) => [label, hint].filter(Boolean).join(' ').replace(/["\\]/g, '')
const list = computed(() => props.items.map((item) => ({ value: wordsOf(item), label: item.label, hint: item.hint })))
const chosen = computed({
  get: () => props.items.filter((item) => item.value === value.value).map(wordsOf)[0],
  set: (words) => {
    const found = props.items.find((item) => wordsOf(item) === words)
    if (found) value.value = found.value
  }
})
</script>

<template>
  <!-- Its names are read once when it is drawn: other words want another drawing. -->
  <URadioGroup
    :key="list.map((item) => item.value).join('|')"
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
