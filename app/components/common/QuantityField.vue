<script setup lang="ts">
import { POTENTIAL } from '~~/core/units'
import { type QuantityField, sayNumber } from '~/composables/useQuantityField'

const props = defineProps<{
  label: string
  field: QuantityField
  /** Of a form: errors with this name are shown here. */
  name?: string
  /** Shown after the number when there is no choice of unit. */
  unitLabel?: string
  hint?: string | undefined
  /** An error from outside, besides those that the field finds itself. */
  error?: string | undefined
  /** Usual figures in the field's first unit, to tap. */
  usual?: readonly number[] | undefined
}>()

/** The field is shared with its page on purpose: what is typed here is read there. */
const model = computed(() => props.field)
/** What the hydrometer's alcohol scale comes to as a gravity: the scale itself says too little to be kept alone. */
const asGravity = computed(() =>
  props.field.unit === POTENTIAL && props.field.value !== undefined
    ? `Gravity about ${props.field.value.toFixed(3)}. Makers print this scale differently; the SG scale beside it is finer.`
    : undefined
)
const message = computed(() => props.field.message ?? props.error)
/** There is no unit behind the number. The group's own rounding goes by every group around it, so it is said here. */
const alone = computed(() => props.field.units.length <= 1 && !props.unitLabel)
</script>

<template>
  <UFormField :label="label" :name="name" :help="message ? undefined : (asGravity ?? hint)" :error="message" class="min-w-0">
    <UFieldGroup class="w-full quantity">
      <UInput
        v-model="model.text"
        inputmode="decimal"
        autocomplete="off"
        class="flex-1 min-w-0 figure"
        :required="field.required"
        :ui="{ base: ['h-[50px] text-[1.35rem]', alone ? 'rounded-(--radius-control)!' : 'rounded-s-(--radius-control)! rounded-e-none!'] }"
        @blur="field.touch()"
      />
      <USelect
        v-if="field.units.length > 1"
        v-model="model.unit"
        :items="field.units"
        :aria-label="`Unit of ${label}`"
        class="flex-none"
        :ui="{ base: 'h-[50px] text-[0.95rem] rounded-s-none! rounded-e-(--radius-control)!' }"
      />
      <span v-else-if="unitLabel" class="unit">{{ unitLabel }}</span>
    </UFieldGroup>
    <span v-if="usual?.length" class="answers">
      <UButton
        v-for="n in usual"
        :key="n"
        variant="outline"
        color="neutral"
        size="sm"
        :aria-label="`${label}: ${n} ${field.unit}`"
        @click="model.text = String(n)"
      >{{ n }}</UButton>
    </span>
    <template v-if="message" #error="{ error: said }">
      <span role="alert">{{ said }}</span>
      <span v-if="field.question" class="answers">
        <UButton v-for="s in field.question.suggestions" :key="s.value" variant="outline" color="error" @click="field.take(s)">
          {{ `Make it ${sayNumber(s)}${s.unit === field.unit ? '' : ` ${s.unit}`}` }}
        </UButton>
        <UButton v-if="field.question.verdict === 'ask'" variant="outline" color="error" @click="field.confirm()">Yes, it is
          correct</UButton>
      </span>
    </template>
  </UFormField>
</template>

<style scoped>
.unit {
  display: grid;
  place-items: center;
  padding: 0 12px;
  white-space: nowrap;
  font-size: 0.95rem;
  color: var(--ink-soft);
  background: var(--ground);
  border: 1.5px solid var(--line-strong);
  border-left: 0;
  border-radius: 0 var(--radius-control) var(--radius-control) 0;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
</style>
