<script setup lang="ts">
import { parseDate } from '@internationalized/date'

/** A calendar day, "2026-10-03"; empty while none is said. */
defineProps<{ label: string, name?: string, hint?: string, error?: string | undefined }>()
const day = defineModel<string>({ required: true })

const date = computed({
  get: () => dayOf(day.value),
  set: (value) => {
    day.value = value?.toString() ?? ''
  }
})
/** An address may hold a day that no calendar has. */
function dayOf(text: string) {
  try {
    return text ? parseDate(text) : undefined
  }
  catch {
    return undefined
  }
}
</script>

<template>
  <UFormField :label="label" :name="name" :help="error ? undefined : hint" :error="error">
    <LazyUInputDate v-model="date" class="w-full" :aria-label="label">
      <template #trailing>
        <UPopover>
          <UButton icon="i-lucide-calendar" variant="link" color="neutral" :aria-label="`${label}: choose from a calendar`" />
          <template #content><LazyUCalendar v-model="date" class="p-2" /></template>
        </UPopover>
      </template>
    </LazyUInputDate>
  </UFormField>
</template>
