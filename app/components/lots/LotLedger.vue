<script setup lang="ts">
import { until } from '@vueuse/core'
import type { Fact, LotView } from '~~/core/ledger'
import { type StoryLine, useStory } from '~/composables/useStory'
import { sayWhen } from '~/wording/days'
import { sayFact } from '~/wording/sentences'
import { useFormat } from '~/composables/useFormat'
import { useGradually } from '~/composables/useGradually'
import { useMessage } from '~/composables/useMessage'
import { useCellarStore } from '~/stores/cellar'

const props = defineProps<{ lot: LotView }>()

const cellar = useCellarStore()
const story = useStory()
const f = useFormat()
const message = useMessage()
const shownCount = ref(40)
/** One more than is shown, to know whether there are more. */
const KINDS: Record<string, { label: string, of: (fact: Fact) => boolean }> = {
  all: { label: 'All', of: () => true },
  readings: { label: 'Readings', of: (x) => x.type === 'reading' },
  additions: { label: 'Additions', of: (x) => x.type === 'addition' || x.type === 'inoculation' },
  moves: { label: 'Moves', of: (x) => x.type === 'transfer' || x.type === 'bottling' },
  notes: { label: 'Notes', of: (x) => x.type === 'observation' || x.type === 'tasting' },
  work: { label: 'Work', of: (x) => x.type === 'operation' || x.type === 'task-ended' }
}
/** Which kind of entry is shown, in the address. */
const route = useRoute()
const router = useRouter()
const kind = computed({
  get: () => (Object.hasOwn(KINDS, String(route.query.show)) ? String(route.query.show) : 'all'),
  set: (show) => void router.replace({ query: { ...route.query, show: show === 'all' ? undefined : show } })
})
const kinds = Object.entries(KINDS).map(([value, { label }]) => ({ value, label }))
const lines = computed(() => story.linesOf(props.lot.id, shownCount.value + 1, ({ fact }) => KINDS[kind.value]!.of(fact)))
const due = computed(() => Math.min(lines.value.length, shownCount.value))
const drawn = useGradually(() => due.value, 4, 9)
/** The entry that is being corrected, as it was when that began. */
const opened = shallowRef<Fact>()

async function strike(id: string) {
  const before = lines.value.find((l) => l.id === id)?.standing.fact
  if (!(await cellar.strike([id], 'Deleted by hand'))) {
    // Something later rests on it: the reason is said above the page, and nothing was changed.
    return
  }
  message({
    title: 'Deleted, kept in the history.',
    color: 'neutral',
    ...(before && { actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }] })
  })
}

function open(fact: Fact) {
  opened.value = opened.value?.id === fact.id ? undefined : fact
}
function corrected() {
  const before = opened.value
  opened.value = undefined
  if (!before) return
  message({
    title: 'Corrected. The earlier value stays visible.',
    color: 'primary',
    actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(before) }]
  })
}
async function bringBack(fact: Fact) {
  if (await cellar.undoCorrection(fact)) message({ title: 'Restored.', color: 'neutral' })
}

/** Goes to an entry's line, also to one so old that it is not drawn yet. */
async function show(id: string) {
  if (kind.value !== 'all') await router.replace({ query: { ...route.query, show: undefined } })
  const place = story.linesOf(props.lot.id, Infinity).findIndex((l) => l.id === id)
  if (place >= shownCount.value) shownCount.value = place + 10
  await until(drawn).toMatch((n) => n > place)
  await nextTick()
  const line = document.getElementById(`entry-${id}`)
  line?.scrollIntoView({ block: 'center' })
  line?.focus()
}
defineExpose({ show })

/** What an entry said before it was corrected, oldest first, a line each. */
function before(line: StoryLine): string {
  const { original, corrections } = line.standing
  const versions: Fact[] = [original, ...corrections.flatMap((c) => (c.replacement ? [c.replacement] : []))]
  return corrections
    .map(({ reason }, i) => {
      const struck = line.struck && i === corrections.length - 1
      const said = struck ? 'Deleted' : `Before: ${versions[i] ? sayFact(versions[i], f, story.names) : ''}`
      return (reason && reason !== 'Deleted by hand' ? `${said} (${reason})` : said).replaceAll('\n', ' ')
    })
    .join('\n')
}
</script>

<template>
  <div>
    <h2>History</h2>
    <OneOfRow v-model="kind" label="Show in the history" :items="kinds" class="noprint my-2" />
    <p v-if="lot.rackedAt && kind === 'moves'" class="soft small">Last racked {{ sayWhen(lot.rackedAt, lot.asOf) }}.</p>
    <p v-if="lines.length === 0" class="soft">Nothing of this kind yet.</p>
    <ol class="lines" :aria-busy="drawn < due">
      <!-- Each line a part of its own: an entry changes one of hundreds, and only that is drawn anew. -->
      <LotLedgerLine
        v-for="line in lines.slice(0, drawn)"
        :id="line.id"
        :key="line.id"
        :at="line.at"
        :when="line.when"
        :text="line.text"
        :standing="line.standing"
        :before="before(line)"
        :lot="opened?.id === line.id ? lot : undefined"
        @open="open"
        @strike="strike"
        @bring-back="bringBack"
        @corrected="corrected"
      />
    </ol>
    <UButton v-if="lines.length > shownCount" variant="link" @click="shownCount += 200">Show older entries</UButton>
  </div>
</template>

<style scoped>
.lines {
  margin-top: 8px;
}
</style>
