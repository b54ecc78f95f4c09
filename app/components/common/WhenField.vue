<script setup lang="ts">
import { clockMs } from '~/data/clock'
import { fromDate, getLocalTimeZone, toCalendarDateTime } from '@internationalized/date'

/** When it happened: now, unless the person says otherwise. An ISO instant, or nothing for now. */
const at = defineModel<string | undefined>({ required: true })
defineProps<{ label?: string }>()
const open = ref(at.value !== undefined)
const zone = getLocalTimeZone()

/** In the person's own zone; the ledger keeps the instant. */
const local = computed({
  get: () => toCalendarDateTime(fromDate(at.value ? new Date(at.value) : new Date(clockMs()), zone)),
  set: (value) => {
    if (value) at.value = value.toDate(zone).toISOString()
  }
})
const ahead = computed(() => at.value !== undefined && Date.parse(at.value) > clockMs() + 60_000)
function begin() {
  open.value = true
  at.value ??= new Date(Math.floor(clockMs() / 60_000) * 60_000).toISOString()
}
function backToNow() {
  at.value = undefined
  open.value = false
}
</script>

<template>
  <div class="when">
    <UButton v-if="!open" variant="link" class="px-0" @click="begin">Set the time</UButton>
    <template v-else>
      <UFormField :label="label ?? 'When'"
                  :error="ahead ? 'This is in the future. Check the date, or the clock of this device.' : undefined">
        <LazyUInputDate v-model="local" granularity="minute" :hour-cycle="24" />
      </UFormField>
      <UButton variant="link" class="self-end" @click="backToNow">Now</UButton>
    </template>
  </div>
</template>

<style scoped>
.when {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  min-height: 48px;
}
</style>
