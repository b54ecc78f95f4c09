<script setup lang="ts">
import type { FieldSpec, Values } from '~/forms/spec'
import type { QuantityField } from '~/composables/useQuantityField'

/** The fields of a bench: those that are put in, or one part of them by its name. */
type Spec = FieldSpec & { part?: string }
const props = defineProps<{
  bench: {
    fields: { value: { spec: Spec, field?: QuantityField | undefined }[] }
    hintOf: (spec: never) => string | undefined
    choices: object
    set: (key: string, value: Values[string]) => void
  }
  part?: string
  /** Of that part only these. */
  only?: readonly string[] | undefined
}>()
const shown = computed(() =>
  props.bench.fields.value
    .filter(({ spec }) => spec.part === props.part && (props.only?.includes(spec.key) ?? true))
    .map(({ spec, field }) => ({ spec: { ...spec, hint: props.bench.hintOf(spec as never) }, field }))
)
</script>

<template>
  <FormFields :values="bench.choices as Values" :fields="shown" :problems="[]" @set="(key, value) => bench.set(key, value)" />
</template>
