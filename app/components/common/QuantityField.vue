<script setup lang="ts">
import type { QuantityField } from '~/composables/useQuantityField'

const props = defineProps<{
  label: string
  field: QuantityField
  /** Stands behind the number when there is no choice of unit. */
  unitLabel?: string
  hint?: string
}>()

/** The field is shared with its page on purpose: what is typed here is read there. */
const model = computed(() => props.field)
const id = useId()
const described = computed(() => [props.hint && `${id}-hint`, props.field.message && `${id}-message`].filter(Boolean).join(' ') || undefined)
</script>

<template>
  <div class="field" :class="{ wrong: field.message }">
    <label :for="id">{{ label }}</label>
    <div class="entry">
      <input
        :id="id"
        v-model="model.text"
        type="text"
        inputmode="decimal"
        autocomplete="off"
        class="figure"
        :required="field.required"
        :aria-invalid="field.message ? 'true' : undefined"
        :aria-describedby="described"
        @blur="field.touch()"
      >
      <select v-if="field.units.length > 1" v-model="model.unit" :aria-label="`Unit of ${label}`">
        <option v-for="u in field.units" :key="u" :value="u">{{ u }}</option>
      </select>
      <span v-else-if="unitLabel" class="unit">{{ unitLabel }}</span>
    </div>
    <p v-if="hint" :id="`${id}-hint`" class="hint">{{ hint }}</p>
    <p v-if="field.message" :id="`${id}-message`" class="message" role="alert">
      {{ field.message }}
      <span v-if="field.question" class="answers">
        <button v-for="s in field.question.suggestions" :key="s" type="button" @click="field.take(s)">Make it {{ field.unit === 'SG' ? s.toFixed(3) : s }}</button>
        <button v-if="field.question.verdict === 'ask'" type="button" @click="field.confirm()">Yes, it is right</button>
      </span>
    </p>
  </div>
</template>

<style scoped>
.field { display: grid; grid-template-columns: minmax(0, 1fr); gap: 4px; align-content: start; min-width: 0; }
label { font-weight: 600; font-size: 0.95rem; }
.entry { display: flex; align-items: stretch; background: var(--sheet); border: 1.5px solid var(--line-strong); border-radius: var(--radius-control); }
.entry:focus-within { outline: 3px solid var(--skin); outline-offset: 1px; }
input { min-width: 0; flex: 1; height: 50px; padding: 0 12px; font-size: 1.35rem; background: transparent; outline: none; }
select, .unit { font-size: 0.95rem; color: var(--ink-soft); padding: 0 10px; display: grid; place-items: center; background: transparent; border-left: 1.5px solid var(--line); white-space: nowrap; }
select { color: var(--ink); border-radius: 0 var(--radius-control) var(--radius-control) 0; }
select option { background: var(--sheet); color: var(--ink); }
.hint { font-size: 0.88rem; color: var(--ink-soft); }
.wrong .entry { border-color: var(--stop); }
.message { color: var(--stop); font-size: 0.95rem; font-weight: 500; }
.answers { display: flex; flex-wrap: wrap; gap: 8px; margin-top: 6px; }
.answers button { min-height: 40px; padding: 0 14px; border: 1.5px solid currentColor; border-radius: var(--radius-control); font-weight: 600; cursor: pointer; }
</style>
