<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import { RIPENING_SOURCE, ripeningWorking } from '~/wording/workings'
import { reasonsForBlock } from '~~/core/stages'
import { MUST_WINDOWS } from '~~/core/must'
import { ripening } from '~~/core/harvest'
import { newId } from '~/data/ids'
import { dayHereAfter, sayDay, sayDayOf, sayWhen } from '~/wording/days'
import { RIPE, sayCrossing, sayReason } from '~/wording/harvest'
import { STYLE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useStrike } from '~/composables/useStrike'
import { useCellarStore } from '~/stores/cellar'

/** Before harvest: each block's samples, where the line goes, and what argues for waiting or for picking. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const litres = (volumeL: number) => f.words(f.volume(volumeL))
const blocks = computed(() => [...cellar.state.blocks.values()])
const block = computed(() => blocks.value.find((b) => b.id === route.query.block) ?? blocks.value[0])
const ripe = computed(() => block.value && ripening(block.value.samples, block.value.style, MUST_WINDOWS[block.value.style], now.value))
const free = computed(() => [...cellar.state.vessels.values()].filter((v) => !v.lotId).map((v) => v.capacityL))
const reasons = computed(() => (block.value && ripe.value ? reasonsForBlock(block.value, ripe.value, free.value, now.value) : []))
const side = (leans: 'wait' | 'pick' | 'neither') => reasons.value.filter((r) => r.leans === leans)
/** The day the line names, or tomorrow; a block that is noted already is not noted twice. */
const pickDay = computed(() => (there.value || target.value?.day === undefined ? 1 : Math.ceil(target.value.day)))
const fruit = computed(() => block.value?.variety ?? block.value?.name ?? '')
const coming = computed(() => [...cellar.state.arrivals.values()].find((a) => a.name === fruit.value))
const logged = useLogged()
async function plan() {
  const b = block.value!
  const on = dayHereAfter(now.value, pickDay.value)
  if (
    await cellar.log([
      { type: 'arrival-expected', arrivalId: newId(), name: fruit.value, stream: 'fresh', style: b.style, massKg: b.expectKg!, on }
    ])
  )
    logged(`${fruit.value} is expected`)
}
const strike = useStrike()
const dayOf = (days: number) => sayDayOf(Date.parse(now.value) + days * DAY_MS)
const target = computed(() => ripe.value?.crossings.find((c) => c.quantity === 'brix' && c.kind === 'target'))
/** Today counts as there. */
const there = computed(() => target.value?.day !== undefined && target.value.day < 0.5)
const headline = computed(() => {
  if (!block.value) return 'Before harvest'
  if (!target.value) return 'Add a sample'
  if (there.value) return 'Sugar at target'
  return target.value.day === undefined ? 'Not within three weeks' : dayOf(target.value.day)
})
const SAMPLE_COLUMNS = [
  { key: 'when', label: 'When' },
  { key: 'brix', label: '°Brix', right: true, sortable: true },
  { key: 'ph', label: 'pH', right: true, sortable: true },
  { key: 'ta', label: 'TA', right: true, sortable: true },
  { key: 'taste', label: 'Taste' }
]
useHead({ title: 'Before harvest · Presk' })
</script>

<template>
  <div>
    <TodayTabs />
    <div class="beside">
      <section v-if="block" class="main">
        <div v-if="blocks.length > 1" class="pick" role="group" aria-label="Blocks">
          <NuxtLink
            v-for="b in blocks"
            :key="b.id"
            :to="`/harvest?block=${b.id}`"
            :class="{ on: b.id === block.id }"
            :aria-current="b.id === block.id ? 'true' : undefined"
          >{{ b.name }}</NuxtLink
          >
        </div>
        <div>
          <p class="soft">
            {{ block.name }}, {{ STYLE[block.style].toLowerCase()
            }}<template v-if="target && !there">: {{ RIPE.brix.name.toLowerCase() }} of {{ target.level }} °Brix</template>
          </p>
          <h1>{{ headline }}</h1>
          <p v-if="target?.day && !there" class="soft">
            From {{ block.samples.length }} samples, ripening a little slower each day. Four times out of five it is
            {{ target.earliest ? dayOf(target.earliest) : 'today' }}{{ target.latest ? ` to ${dayOf(target.latest)}` : ' or later' }}.
          </p>
        </div>
        <div class="plan">
          <UButton v-if="block.expectKg && !coming" variant="outline" size="lg" icon="i-lucide-calendar-plus" @click="plan"
          >Expect it on {{ dayOf(pickDay) }}</UButton
          >
          <p v-else-if="coming" class="soft">
            Expected on {{ sayDay(coming.on) }}. Its needs are counted in
            <NuxtLink to="/stores/supplies" class="textlink">supplies</NuxtLink>.
          </p>
        </div>
        <div class="scales">
          <div v-for="lean in ['wait', 'pick'] as const" :key="lean">
            <h2>{{ lean === 'wait' ? 'For waiting' : 'For picking' }}</h2>
            <ul>
              <li v-for="(r, i) in side(lean)" :key="i">
                {{ sayReason(r, litres) }}
                <UButton
                  v-if="r.code === 'noted'"
                  variant="link"
                  class="strike"
                  :aria-label="`Delete: ${r.text}`"
                  @click="strike(r.id, 'Note deleted', 'Deleted')"
                >not any more</UButton
                >
              </li>
              <li v-if="!side(lean).length" class="soft">Nothing so far.</li>
            </ul>
          </div>
        </div>
        <ul v-if="side('neither').length" class="soft neither">
          <li v-for="(r, i) in side('neither')" :key="i">{{ sayReason(r, litres) }}</li>
        </ul>
        <div v-if="ripe?.trends.length" class="charts">
          <RipeningChart
            v-for="t in ripe.trends"
            :key="t.quantity"
            :trend="t"
            :block="block"
            :window="MUST_WINDOWS[block.style][t.quantity]"
          />
        </div>
        <FigureTable
          v-if="ripe?.crossings.length"
          plain
          caption="Days of target and limit"
          :columns="[
            { key: 'what', label: 'What' },
            { key: 'when', label: 'When', right: true },
          ]"
          :rows="ripe.crossings.map((c) => sayCrossing(c, dayOf))"
        />
        <WorkingNote
          v-if="ripe?.trends.length"
          :steps="ripeningWorking(ripe.trends)"
          :source="RIPENING_SOURCE"
        />
        <SampleForm :key="`s-${block.id}`" :block="block" />
        <BlockNoteForm :key="`n-${block.id}`" :block="block" />
        <div v-if="block.samples.length">
          <h2>Samples</h2>
          <FigureTable
            caption="Samples"
            :columns="SAMPLE_COLUMNS"
            :rows="
              [...block.samples]
                .reverse()
                .map((s) => ({
                  id: s.id,
                  when: sayWhen(s.at, now),
                  brix: s.brix?.toFixed(1) ?? '–',
                  ph: s.ph?.toFixed(2) ?? '–',
                  ta: s.ta?.toFixed(1) ?? '–',
                  taste: s.taste ?? '',
                }))
            "
          >
            <template #action="{ row }"
            ><UButton
              variant="link"
              :aria-label="`Delete the sample of ${row.when}`"
              @click="strike(String(row.id), 'Sample deleted', 'Deleted')"
            >Delete</UButton
            ></template
            >
          </FigureTable>
        </div>
      </section>
      <section v-else class="main">
        <h1>Before harvest</h1>
        <p class="soft">
          Add a block and sample it every few days. Presk shows where sugar, pH and acid are heading, when the sugar reaches its target,
          and the reasons not to wait.
        </p>
      </section>
      <aside><BlockForm /></aside>
    </div>
  </div>
</template>

<style scoped>
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 22px;
}
h1 {
  font-size: clamp(2.4rem, 6vw, 3.6rem);
  line-height: 1.05;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pick a {
  min-height: 44px;
  padding: 0 16px;
  display: inline-flex;
  align-items: center;
  border: 1.5px solid var(--line-strong);
  border-radius: var(--radius-control);
  font-weight: 600;
}
.pick .on {
  border-color: var(--skin);
  background: var(--skin-wash);
  color: var(--skin);
}
.scales {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0;
  border-top: 4px solid var(--beam);
}
.scales > div {
  padding: 12px 20px 4px 0;
}
.scales > div + div {
  border-left: 1.5px solid var(--line);
  padding-left: 20px;
}
.scales li {
  padding: 6px 0;
}
.plan:empty {
  display: none;
}
.neither {
  display: grid;
  gap: 4px;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(270px, 1fr));
  gap: 16px 28px;
}
.strike {
  min-height: 40px;
  color: var(--ink-soft);
}
@media (max-width: 560px) {
  .scales {
    grid-template-columns: minmax(0, 1fr);
  }
  .scales > div + div {
    border-left: 0;
    padding-left: 0;
    border-top: 1.5px solid var(--line);
  }
}
</style>
