<script setup lang="ts">
import type { FieldSpec, Values } from '~/forms/spec'
import type { QuantityField } from '~/composables/useQuantityField'

/** The fields of a bench: those that are put in, or one part of them by its name. */
const props = defineProps<{
  bench: {
    fields: { value: { spec: FieldSpec & { part?: string }, field?: QuantityField | undefined }[] }
    choices: object
    set: (key: string, value: Values[string]) => void
  }
  part?: string
  /** Of that part only these. */
  only?: readonly string[] | undefined
}>()
const shown = computed(() =>
  props.bench.fields.value.filter(({ spec }) => spec.part === props.part && (props.only?.includes(spec.key) ?? true))
)
</script>

<template>
  <FormFields :values="bench.choices as Values" :fields="shown" :problems="[]" @set="(key, value) => bench.set(key, value)" />
</template>
