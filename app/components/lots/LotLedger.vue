<script setup lang="ts">
import type { Fact, LotView } from '~~/core/ledger'
import type { StoryLine } from '~/composables/useStory'
import { sayFact } from '~/wording/sentences'

const props = defineProps<{ lot: LotView }>()

const cellar = useCellarStore()
const story = useStory()
const f = useFormat()
const toast = useToast()
const shownCount = ref(40)
/** One more than is shown, to know whether there are more. */
const lines = computed(() => story.linesOf(props.lot.id, shownCount.value + 1))
/** The entry that is put right, as it stood when that was begun. */
const opened = shallowRef<Fact>()

async function strike(id: string) {
  const before = lines.value.find((l) => l.id === id)?.standing.fact
  if (!(await cellar.strike([id], 'Struck by hand'))) {
    // Something later rests on it: the reason is said above the page, and nothing was changed.
    return
  }
  toast.add({
    title: 'Struck out. It stays in the ledger, marked.',
    color: 'neutral',
    ...(before && { actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }] })
  })
}

function corrected(before: Fact) {
  opened.value = undefined
  toast.add({
    title: 'Corrected. What stood there before stays visible.',
    color: 'primary',
    actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }]
  })
}
async function bringBack(fact: Fact) {
  if (await cellar.undoCorrection(fact)) toast.add({ title: 'It stands again.', color: 'neutral' })
}

/** Goes to an entry's line, also to one so old that it is not drawn yet. */
async function show(id: string) {
  const place = story.linesOf(props.lot.id, Infinity).findIndex((l) => l.id === id)
  if (place >= shownCount.value) shownCount.value = place + 10
  await nextTick()
  const line = document.getElementById(`entry-${id}`)
  line?.scrollIntoView({ block: 'center' })
  line?.focus()
}
defineExpose({ show })

/** The versions an entry had before the one that stands, oldest first. */
function earlier(line: StoryLine): { text: string, reason: string }[] {
  const { original, corrections } = line.standing
  if (corrections.length === 0) return []
  const versions: Fact[] = [original, ...corrections.flatMap((c) => (c.replacement ? [c.replacement] : []))]
  return corrections.map((c, i) => ({ text: versions[i] ? sayFact(versions[i], f, story.names) : '', reason: c.reason }))
}
</script>

<template>
  <div>
    <h2>Ledger</h2>
    <ol class="lines">
      <!-- Drawn anew only when it says something else: a ledger has hundreds of lines, and an entry changes one. -->
      <li
        v-for="line in lines.slice(0, shownCount)"
        :id="`entry-${line.id}`"
        :key="line.id"
        v-memo="[line.when, line.text, line.standing, opened?.id === line.id && lot]"
        tabindex="-1"
        :class="{ struck: line.struck }"
      >
        <time :datetime="line.at" class="soft small">{{ line.when }}</time>
        <span class="text">
          <s v-if="line.struck">{{ line.text }}</s
          ><template v-else>{{ line.text }}</template>
          <span v-for="(v, i) in earlier(line)" :key="i" class="version small"
          >{{ line.struck && i === earlier(line).length - 1 ? 'Struck' : `Before: ${v.text}` }}
            {{ v.reason && v.reason !== 'Struck by hand' ? `(${v.reason})` : '' }}</span
          >
        </span>
        <img
          v-if="line.standing.fact.type === 'observation' && line.standing.fact.photo && !line.struck"
          :src="line.standing.fact.photo"
          :alt="`Picture: ${line.text}`"
          class="photo"
        />
        <span v-if="line.struck" class="acts"
        ><span class="small soft">struck</span
        ><UButton variant="ghost" color="neutral" :aria-label="`Bring back: ${line.text}`" @click="bringBack(line.standing.fact)"
        >Bring back</UButton
        ></span
        >
        <span v-else class="acts">
          <UButton
            variant="ghost"
            color="neutral"
            :aria-label="`Correct: ${line.text}`"
            :aria-expanded="opened?.id === line.id"
            @click="opened = opened?.id === line.id ? undefined : line.standing.fact"
          >Correct</UButton
          >
          <UButton
            v-if="line.standing.fact.type !== 'lot-started'"
            variant="ghost"
            color="neutral"
            :aria-label="`Strike out: ${line.text}`"
            @click="strike(line.id)"
          >Strike</UButton
          >
        </span>
        <EntryForm
          v-if="opened?.id === line.id"
          :type="opened.type"
          :lot="lot"
          :fact="opened"
          send="Put it right"
          class="form sheet"
          @done="corrected(opened)"
          @leave="opened = undefined"
        />
      </li>
    </ol>
    <UButton v-if="lines.length > shownCount" variant="link" @click="shownCount += 200">Show older entries</UButton>
  </div>
</template>

<style scoped>
.lines {
  margin-top: 8px;
}
li {
  display: grid;
  grid-template-columns: 9.5rem minmax(0, 1fr) auto;
  gap: 2px 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  min-height: 46px;
  padding: 4px 0;
}
.text {
  overflow-wrap: anywhere;
}
.photo {
  grid-column: 2;
  grid-row: 2;
  max-height: 180px;
  border-radius: 10px;
  margin: 4px 0 8px;
}
.version {
  display: block;
  color: var(--ink-soft);
}
.struck .text {
  color: var(--ink-soft);
}
.form {
  grid-column: 1 / -1;
}
@media (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  time {
    grid-column: 1 / -1;
    padding-top: 6px;
  }
  .acts {
    display: grid;
  }
}
</style>
