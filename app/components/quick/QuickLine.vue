<script setup lang="ts">
import { formKey } from '~/composables/useEntryForm'
import type { FindKind, Found } from '~/find/finder'
import { sayWhen } from '~/wording/days'
import { useFind } from '~/composables/useFind'
import { useKept } from '~/composables/useKept'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useQuickLine } from '~/composables/useQuickLine'
import { useCellarStore } from '~/stores/cellar'

const open = defineModel<boolean>('open', { required: true })
const cellar = useCellarStore()
const logged = useLogged()
const now = useNow()
const quick = useQuickLine()
const { line, chosen, place, read, lots, lot, logs, understood, doubts, large, future, ready, goesTo } = quick
const { found, meant, isQuestion } = useFind(line)
/** A question is answered and logs nothing. */
const asks = computed(() => isQuestion(line.value) || (found.value.length > 0 && lots.value.length === 0 && !goesTo.value))
const FOUND: Record<FindKind, string> = {
  entry: 'Entry', lot: 'Lot', vessel: 'Vessel', supply: 'Store', page: 'Page', word: 'Glossary'
}

/** Lots of one name are told apart by their vessel and the day they began. */
const candidates = computed(() =>
  lots.value.map((l) => ({
    id: l.id,
    label: [l.name, ...[...l.contents.keys()].map((id) => cellar.state.vessels.get(id)?.name), sayWhen(l.startedAt, now.value)]
      .filter(Boolean)
      .join(', ')
  }))
)
const MOVE_WANTS = {
  vessel: 'Into which vessel, and how much? Type “racked to”, the vessel and “18 L”.',
  litres: 'How much? Type the litres that arrived, like “18 L”, and “leaving 0.5 L” for the lees.',
  from: 'This lot is in several vessels. Choose one in the form.'
}

/** Whose entry it is. */
const ofLot = (hit: Found) => {
  const name = hit.kind === 'entry' ? cellar.lotOf(/^\/lots\/([^?]+)/.exec(hit.to)?.[1] ?? '')?.name : undefined
  return name ? `, ${name}` : ''
}
const entry = useTemplateRef<{ inputRef: HTMLInputElement }>('entry')
/** The line, not the closing button, is where typing goes. */
function focusLine(event: Event) {
  event.preventDefault()
  entry.value?.inputRef?.focus()
}
function done() {
  line.value = ''
  open.value = false
}

async function confirm() {
  const to = goesTo.value
  if (to) {
    // Closed first: a page may take its time, and what is typed next is not this line.
    done()
    await navigateTo(to)
    return
  }
  if (asks.value) {
    const [first] = found.value
    if (!first) return
    done()
    await navigateTo(first.to)
    return
  }
  if (!lot.value || !ready.value) return
  if (!(await cellar.log(logs.value.drafts))) return
  logged(`Logged for ${lot.value.name}`)
  done()
}

/** The form takes over with what the line said. */
async function openMove() {
  if (!lot.value) return
  const { id } = lot.value
  const { toVesselId = '', purpose = '', litres, leesL } = read.value.move ?? {}
  const to = toVesselId ? `${cellar.state.vessels.get(toVesselId)?.lotId ?? lot.value.id}/${toVesselId}` : ''
  const from = [...lot.value.contents.keys()][0] ?? ''
  const outL = litres === undefined ? undefined : litres + (leesL ?? 0)
  useKept(formKey('transfer', id)).write({ from, to, purpose, outL, leesL })
  done()
  await navigateTo(`/lots/${id}?log=move`)
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Search or log"
    description="Log what you read or did, or search everything in your cellar."
    :content="{ onOpenAutoFocus: focusLine }"
  >
    <template #body>
      <form novalidate class="quick" @submit.prevent="confirm">
        <UInput
          ref="entry"
          v-model="line"
          aria-label="A reading or a move"
          autocomplete="off"
          autocapitalize="none"
          spellcheck="false"
          placeholder="tempranillo 12.4 brix 26C smells fine"
          :ui="{ base: 'h-14 text-xl' }"
        />
        <div aria-live="polite" class="out">
          <p v-if="goesTo">
            <b>Go to {{ place?.label ?? lot?.name }}</b>
            <template v-if="place?.ofLot && lot"> for {{ lot.name }}</template>
          </p>
          <template v-else-if="line.trim() && !asks">
            <p v-if="lot">
              <b class="display name">{{ lot.name }}</b>
              <span v-if="read.at" class="soft"> · {{ sayWhen(read.at, now) }}</span>
            </p>
            <template v-else-if="lots.length > 1">
              <p id="which-lot">Which one?</p>
              <div class="which" role="group" aria-labelledby="which-lot">
                <UButton v-for="c in candidates" :key="c.id" variant="outline" @click="chosen = c.id">{{ c.label }}</UButton>
              </div>
            </template>
            <p v-else>No lot or vessel has that name. Start with one, or name a page to open.</p>
            <ul v-if="understood.length">
              <li v-for="(text, i) in understood" :key="i">{{ text }}</li>
            </ul>
            <p v-if="future" class="message">That is in the future. You can only log what has happened.</p>
            <p v-for="d in doubts" :key="d.text" :class="d.refuse ? 'message' : 'soft'">{{ d.text }}</p>
            <p v-for="text in large" :key="text" class="message">{{ text }}</p>
            <p v-if="read.secondLot" class="message">This line names {{ read.secondLot }} as well. Write one line for each lot.</p>
            <p v-if="read.unclear.length" class="message">
              Not clear: {{ read.unclear.map((w) => `“${w}”`).join(', ') }}. Put “brix”, “pH”, “TA”, “free” next to a number, grams or
              litres next to what you added, or “note” before a note.
            </p>
            <p v-if="read.unknown.length" class="soft">
              Not understood, saved as a note: {{ read.unknown.map((w) => `“${w}”`).join(', ') }}
            </p>
            <template v-if="logs.moveWants">
              <p>{{ MOVE_WANTS[logs.moveWants] }}</p>
              <div><UButton variant="outline" @click="openMove">Open the form</UButton></div>
            </template>
          </template>
          <p v-else-if="!line.trim()" class="soft">
            A lot or vessel, then what you read or did: <b>barbera 1.012 24.5</b>, <b>grenache yesterday 2 g sulphite</b>,
            <b>white pail stirred smells of bread</b>. Or a page to open: <b>sulphite tempranillo</b>, <b>supplies</b>.
            Or a question: <b>when did I rack the grenache</b>.
          </p>
          <p v-if="asks && !isQuestion(line) && /\d/.test(line)" class="message">
            No lot or vessel has that name, so this is not logged.
            <template v-if="!meant">Start with one.</template>
          </p>
          <div v-if="asks && meant && !isQuestion(line) && /\d/.test(line)">
            <UButton variant="outline" @click="line = line.replace(meant.typed, meant.name)">I meant {{ meant.name }}</UButton>
          </div>
          <p v-if="asks && found.length === 0">Nothing found. Try fewer or other words.</p>
          <section v-if="found.length && (asks || logs.drafts.length === 0)" aria-labelledby="found">
            <h3 id="found">Found</h3>
            <ul class="found">
              <li v-for="hit in found" :key="hit.id">
                <NuxtLink :to="hit.to" @click="done">
                  <span class="soft small">{{ hit.at ? sayWhen(hit.at, now) : FOUND[hit.kind] }}{{ ofLot(hit) }}</span>
                  <span class="title">{{ hit.title }}</span>
                </NuxtLink>
              </li>
            </ul>
          </section>
        </div>
        <UButton type="submit" size="xl" block :disabled="!goesTo && (asks ? found.length === 0 : !ready)">{{
          goesTo ? 'Go' : asks ? 'Open the first' : lot && logs.drafts.length ? `Log for ${lot.name}` : 'Log'
        }}</UButton>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.quick {
  display: grid;
  gap: 14px;
}
.out {
  min-height: 110px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.out li {
  border-top: 1.5px solid var(--line);
  padding: 6px 0;
}
.name {
  font-size: 1.3rem;
}
h3 {
  font-size: 1.05rem;
}
h3 + .found li:first-child {
  border-top: 0;
}
.found a {
  display: grid;
  gap: 1px;
  text-decoration: none;
}
.found .title {
  overflow: hidden;
  text-overflow: ellipsis;
}
.found a:hover .title {
  text-decoration: underline;
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
