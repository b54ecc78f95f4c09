<script setup lang="ts">
import { type RoomFor, nextName, sizesFor } from '~~/core/cellar'
import { fact } from '~~/core/drafts'
import type { Entry } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { vesselWords } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** A vessel that is not in the cellar yet, added without leaving the page that needs it: one of a usual size by a tap. */
const props = defineProps<{
  /** What has to go in where no vessel takes it, L. */
  litres?: number
  room?: RoomFor
  /** It goes into one vessel, and not what is left of it into another. */
  whole?: boolean
}>()
const emit = defineEmits<{ added: [vesselId: string] }>()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const open = ref(false)
const adding = ref(false)
const word = computed(() => vesselWords(f.volumeUnit.value).demijohn)
const sizes = computed(() => {
  const { litres, room = 'none', whole } = props
  const around = litres ? sizesFor('demijohn', f.volumeUnit.value, litres, room) : []
  return whole ? around.filter((size) => size >= litres!) : around
})

function done([entry]: Entry[] = []) {
  open.value = false
  if (entry?.type !== 'vessel-added') return
  logged(`${entry.name} added`)
  emit('added', entry.vesselId)
}
async function add(capacityL: number) {
  const name = nextName(word.value, [...cellar.state.vessels.values()].map((v) => v.name))
  adding.value = true
  const written = await cellar.log([
    fact('vessel-added', { vesselId: newId(), name, kind: 'demijohn', capacityL, material: undefined })
  ])
  adding.value = false
  done(written)
}
</script>

<template>
  <div class="flex flex-wrap gap-2 items-center">
    <UButton
      v-for="size in sizes"
      :key="size"
      variant="outline"
      icon="i-lucide-plus"
      :disabled="adding"
      @click="add(size)"
    >
      {{ word }}, {{ f.words(f.volume(size)) }}
    </UButton>
    <UModal v-model:open="open" title="New vessel" description="It is added to your cellar, and the wine can go into it at once.">
      <UButton variant="link" icon="i-lucide-plus" class="justify-self-start px-0">
        {{ sizes.length > 0 ? 'Another vessel' : 'New vessel' }}
      </UButton>
      <template #body><LazyEntryForm type="vessel-added" send="Add" tall @done="done" /></template>
    </UModal>
  </div>
</template>
