<script setup lang="ts">
import { counted } from '~/wording/count'
import { sayDay, sayWhen } from '~/wording/days'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useFolderStore } from '~/stores/folder'

/** A folder that the cellar is kept in by itself, with older copies, and carried by to a phone or a laptop. */
const emit = defineEmits<{ restore: [file: File] }>()
const folder = useFolderStore()
const now = useNow()
const cellar = useCellarStore()
onMounted(() => {
  if (folder.state !== 'open') void folder.reopen()
})
async function review(from: Promise<File | undefined>) {
  const file = await from
  if (file) emit('restore', file)
}
</script>

<template>
  <section class="grid gap-3" aria-label="Copies in a folder">
    <h3>Copies in a folder</h3>
    <p v-if="folder.state === 'unsupported'" class="soft">
      This browser cannot keep copies in a folder by itself. Export the cellar from time to time instead.
    </p>
    <template v-else-if="cellar.which === 'own'">
      <p class="soft">
        Choose a folder once. Presk then keeps the cellar there after every change, with older copies of the last days, weeks and months. If
        another program keeps the folder in step with your phone or laptop, Presk picks up what the other device wrote.
      </p>
      <div class="flex flex-wrap gap-3 items-center">
        <UButton v-if="folder.state === 'none'" size="lg" variant="outline" icon="i-lucide-folder" @click="folder.choose()">
          Choose a folder
        </UButton>
        <UButton v-else-if="folder.state === 'asks'" size="lg" icon="i-lucide-folder" @click="folder.reopen(true)">
          Allow the folder again
        </UButton>
        <template v-else>
          <UButton size="lg" variant="outline" :loading="folder.busy" @click="folder.sync()">Update now</UButton>
          <UButton variant="link" color="neutral" @click="folder.forget()">Stop using this folder</UButton>
        </template>
      </div>
      <p v-if="folder.problem" class="message" role="alert">{{ folder.problem }}</p>
      <template v-if="folder.last">
        <p role="status">
          Up to date {{ sayWhen(folder.last.at, now) }}.
          <template v-for="(fresh, device) in folder.arrived" :key="device">
            {{ counted(fresh, 'entry', 'entries') }} came from {{ device }}.
          </template>
        </p>
        <p v-for="w in folder.last.waiting" :key="w.name" class="message">
          {{ counted(w.count, 'entry', 'entries') }} in {{ w.name }} would contradict this cellar and {{ w.count === 1 ? 'was' : 'were' }}
          left out.
          <UButton variant="link" @click="review(folder.fileOf(w.name))">Look at {{ w.count === 1 ? 'it' : 'them' }}</UButton>
        </p>
        <p v-for="u in folder.last.unread" :key="u.name" class="message" role="alert">
          {{ u.name }} could not be read: {{ u.problem }} It was left alone, and Presk tries again next time.
        </p>
        <FoldOut :label="`${counted(folder.last.copies.length, 'copy', 'copies')} to restore from`">
          <ul>
            <li v-for="day in folder.last.copies.toReversed()" :key="day" class="flex items-center gap-4">
              {{ sayDay(day) }} {{ day.slice(0, 4) }}
              <UButton variant="link" :aria-label="`Restore from ${sayDay(day)}`" @click="review(folder.copyOf(day))">Restore</UButton>
            </li>
          </ul>
        </FoldOut>
      </template>
    </template>
    <p v-else class="soft">For your own cellar, not for the demo.</p>
  </section>
</template>
