<script setup lang="ts">
import type { Fact } from '~~/core/ledger'
import type { StoryLine } from '~/composables/useStory'
import { sayLedgerProblem } from '~/wording/problems'
import { sayFact } from '~/wording/sentences'

const props = defineProps<{ lotId: string }>()

const cellar = useCellarStore()
const story = useStory()
const f = useFormat()
const toast = useToast()
const shownCount = ref(40)
/** One more than is shown, to know whether there are more. */
const lines = computed(() => story.linesOf(props.lotId, shownCount.value + 1))
const opened = ref<string>()

async function strike(id: string) {
  const before = lines.value.find(l => l.id === id)?.standing.fact
  if (!await cellar.strike([id], 'Struck by hand')) {
    // Something later rests on it: the reason is said, and nothing was changed.
    if (cellar.refused.length > 0) toast.add({ title: `Not struck: ${cellar.refused.map(sayLedgerProblem).join(' ')}`, color: 'error' })
    return
  }
  toast.add({ title: 'Struck out. It stays in the ledger, marked.', color: 'neutral', ...(before && { actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }] }) })
}

/** The versions an entry had before the one that stands, oldest first. */
function earlier(line: StoryLine): { text: string, reason: string }[] {
  const { fact, corrections } = line.standing
  if (corrections.length === 0) return []
  const original = cellar.entries.find(e => e.id === fact.id && e.type !== 'correction') as Fact | undefined
  const versions: Fact[] = [...(original ? [original] : []), ...corrections.flatMap(c => c.replacement ? [c.replacement] : [])]
  return corrections.map((c, i) => ({ text: versions[i] ? sayFact(versions[i], f, story.names) : '', reason: c.reason }))
}
</script>

<template>
  <div>
    <h2>Ledger</h2>
    <ol class="lines">
      <li v-for="line in lines.slice(0, shownCount)" :key="line.id" :class="{ struck: line.struck }">
        <time :datetime="line.at" class="soft small">{{ line.when }}</time>
        <span class="text">
          <s v-if="line.struck">{{ line.text }}</s><template v-else>{{ line.text }}</template>
          <span v-for="(v, i) in earlier(line)" :key="i" class="version small">{{ line.struck && i === earlier(line).length - 1 ? 'Struck' : `Before: ${v.text}` }} {{ v.reason && v.reason !== 'Struck by hand' ? `(${v.reason})` : '' }}</span>
        </span>
        <img v-if="line.standing.fact.type === 'observation' && line.standing.fact.photo && !line.struck" :src="line.standing.fact.photo" :alt="`Picture: ${line.text}`" class="photo">
        <span v-if="line.struck" class="small soft">struck</span>
        <span v-else class="acts">
          <button type="button" class="act small" :aria-label="`Correct: ${line.text}`" :aria-expanded="opened === line.id" @click="opened = opened === line.id ? undefined : line.id">Correct</button>
          <button v-if="line.standing.fact.type !== 'lot-started'" type="button" class="act small" :aria-label="`Strike out: ${line.text}`" @click="strike(line.id)">Strike</button>
        </span>
        <LotCorrection v-if="opened === line.id" :fact="line.standing.fact" class="form" @done="opened = undefined" />
      </li>
    </ol>
    <button v-if="lines.length > shownCount" type="button" class="textlink" @click="shownCount += 200">Show older entries</button>
  </div>
</template>

<style scoped>
.lines { margin-top: 8px; }
li { display: grid; grid-template-columns: 9.5rem minmax(0, 1fr) auto; gap: 2px 16px; align-items: center; border-top: 1.5px solid var(--line); min-height: 46px; padding: 4px 0; }
.text { overflow-wrap: anywhere; }
.photo { grid-column: 2; grid-row: 2; max-height: 180px; border-radius: 10px; margin: 4px 0 8px; }
.version { display: block; color: var(--ink-soft); }
.struck .text { color: var(--ink-soft); }
.act { min-height: 44px; padding: 0 8px; color: var(--ink-soft); border-radius: 8px; cursor: pointer; }
.act:hover { color: var(--stop); text-decoration: underline; }
.form { grid-column: 1 / -1; }
@media (max-width: 560px) { li { grid-template-columns: minmax(0, 1fr) auto; } time { grid-column: 1 / -1; padding-top: 6px; } .acts { display: grid; } }
</style>
