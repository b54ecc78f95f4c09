<script setup lang="ts">
import type { Entry, Fact, LotView } from '~~/core/ledger'
import type { Values } from '~/forms/spec'
import { focusWrong } from '~/composables/focusWrong'
import { useEntryForm } from '~/composables/useEntryForm'

/** The form of one kind of entry: the same where it is logged and where it is put right. */
const props = defineProps<{
  type: Fact['type']
  lot?: LotView | undefined
  /** The entry that is to be put right. */
  fact?: Fact | undefined
  given?: Values | undefined
  /** What the button says. */
  send?: string
  /** Whether it can have happened earlier. */
  dated?: boolean
  /** One field below the other. */
  tall?: boolean
}>()
const emit = defineEmits<{ done: [written: Entry[]], leave: [] }>()

const entry = useEntryForm({ type: props.type, lot: props.lot, fact: props.fact, given: props.given })
const { values, fields, problems, problem, saving, at, reason, lotId, lotChoices } = entry
const root = useTemplateRef<{ $el?: Element }>('root')

async function submit() {
  const written = await entry.submit()
  if (written) emit('done', written)
  else focusWrong(root.value?.$el)
}
defineExpose({ values })
</script>

<template>
  <!-- What is missing is said at its field, not by the browser. UForm's way to show that it is busy draws every field anew. -->
  <UForm ref="root" novalidate :state="values" :loading-auto="false" class="entry" :class="{ tall }" @submit="submit">
    <FormFields :values="values" :fields="fields" :problems="problems" @set="entry.set" />
    <SelectField
      v-if="lotId && lotChoices.length > 1"
      v-model="lotId"
      label="Lot"
      :items="lotChoices"
      hint="change it if the entry belongs to another lot"
      class="wide"
    />
    <TextField v-if="fact" v-model="reason" label="Reason (optional)" :maxlength="200" class="wide" />
    <WhenField v-if="dated || fact" v-model="at" class="full" />
    <p v-if="problem" class="message full" role="alert">{{ problem }}</p>
    <div class="acts" :class="{ full: fact || tall }">
      <UButton type="submit" size="xl" :variant="fact || tall ? 'solid' : 'outline'" :loading="saving">{{ send ?? 'Log' }}</UButton>
      <UButton v-if="fact || $attrs.onLeave" variant="link" @click="$emit('leave')">{{ fact ? 'Cancel' : 'Not now' }}</UButton>
      <slot />
    </div>
  </UForm>
</template>

<style scoped>
.entry {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 16px;
  align-items: flex-start;
}
.entry > * {
  flex: 1 1 150px;
}
/* Fields are drawn by a part of their own, which has no root of its own. */
.entry > :deep(.wide) {
  flex: 3 1 240px;
}
.entry > :deep(.full) {
  flex: 1 0 100%;
}
.entry > .acts {
  flex: 0 0 auto;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  align-self: flex-end;
}
.tall {
  flex-direction: column;
  align-items: stretch;
}
.tall > * {
  flex: none !important;
}
.entry.tall > .acts {
  align-self: flex-start;
}
</style>
