<script setup lang="ts">
/** A line of words in a form. */
defineProps<{
  label: string
  name?: string
  hint?: string | undefined
  error?: string | undefined
  maxlength?: number
  placeholder?: string | undefined
  type?: 'text' | 'time'
  inputmode?: 'text' | 'numeric' | 'decimal'
}>()
const text = defineModel<string>({ required: true })
defineEmits<{ input: [] }>()
</script>

<template>
  <UFormField :label="label" :name="name" :help="error ? undefined : hint" :error="error">
    <UInput
      v-model="text"
      :maxlength="maxlength ?? 80"
      :placeholder="placeholder"
      :type="type ?? 'text'"
      :inputmode="inputmode"
      autocomplete="off"
      class="w-full"
      :ui="{ base: 'h-[50px]' }"
      @input="$emit('input')"
    />
    <template v-if="error" #error="{ error: words }"
    ><span role="alert">{{ words }}</span></template
    >
  </UFormField>
</template>
