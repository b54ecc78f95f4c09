<script setup lang="ts">
import { sizesIn } from '~/wording/volume-units'
import { type FieldProblem, type FieldSpec, type Values, many } from '~/forms/spec'
import type { QuantityField } from '~/composables/useQuantityField'

/** The fields of a form, by what they are. */
const props = defineProps<{
  values: Values
  fields: readonly { spec: FieldSpec, field?: QuantityField | undefined }[]
  problems: readonly FieldProblem[]
}>()
const emit = defineEmits<{ set: [key: string, value: Values[string]] }>()

const errorOf = (key: string) => props.problems.find((p) => p.field === key)?.reason
const words = (key: string) => String(props.values[key] ?? '')
const usualOf = (spec: FieldSpec, field: QuantityField) =>
  spec.as === 'quantity' && spec.usual ? sizesIn(field.unit, spec.usual) : undefined
/** What every field is told. */
const told = (spec: FieldSpec) => ({
  'label': spec.label,
  'name': spec.key,
  'hint': spec.hint,
  'error': errorOf(spec.key),
  'class': { wide: spec.wide },
  'onUpdate:modelValue': (value: Values[string]) => emit('set', spec.key, value)
})
</script>

<template>
  <template v-for="{ spec, field } in fields" :key="spec.key">
    <SelectField
      v-if="spec.as === 'choice'"
      v-bind="told(spec)"
      :model-value="values[spec.key] ?? ''"
      :items="spec.items"
      placeholder="choose"
    />
    <ChoiceTiles
      v-else-if="spec.as === 'tiles'"
      class="wide"
      :legend="spec.label"
      :items="spec.items"
      :least="spec.least"
      :model-value="values[spec.key] ?? ''"
      @update:model-value="emit('set', spec.key, $event)"
    />
    <UCheckbox
      v-else-if="spec.as === 'tick'"
      class="wide"
      :label="spec.label"
      :description="spec.hint"
      :model-value="values[spec.key] === true"
      @update:model-value="emit('set', spec.key, $event === true)"
    />
    <TextField
      v-else-if="spec.as === 'words'"
      v-bind="told(spec)"
      :model-value="words(spec.key)"
      :maxlength="spec.max ?? 80"
      :placeholder="spec.placeholder"
    />
    <LazyDayField v-else-if="spec.as === 'day'" v-bind="told(spec)" :model-value="words(spec.key)" />
    <USwitch
      v-else-if="spec.as === 'switch'"
      :model-value="values[spec.key] === true"
      :label="spec.label"
      :class="{ wide: spec.wide }"
      @update:model-value="emit('set', spec.key, $event)"
    />
    <TapMany
      v-else-if="spec.as === 'many'"
      :legend="spec.label"
      :items="spec.items"
      :model-value="many(values, spec.key)"
      class="full"
      @update:model-value="emit('set', spec.key, $event.join(','))"
    />
    <LazyPictureField
      v-else-if="spec.as === 'picture'"
      :model-value="words(spec.key)"
      :label="spec.label"
      @update:model-value="emit('set', spec.key, $event)"
    />
    <QuantityField
      v-else-if="field"
      :label="spec.label"
      :name="spec.key"
      :field="field"
      :unit-label="spec.unitLabel"
      :hint="errorOf(spec.key) ?? spec.hint"
      :usual="usualOf(spec, field)"
      :class="{ wide: spec.wide }"
    />
  </template>
</template>
