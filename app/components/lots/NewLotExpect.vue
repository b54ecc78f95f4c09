<script setup lang="ts">
import { YIELD_SOURCE } from '~/wording/workings'
import { ROOM } from '~~/core/cellar'
import type { NewLot } from '~/composables/useNewLot'
import { useFormat } from '~/composables/useFormat'

/** What can be expected of what arrived: juice to dose, wine in the end, the vessel it asks for. */
const props = defineProps<{ lot: NewLot }>()
const f = useFormat()
const { expected, inCans, reckoned, grows, room, willBe, yieldWorking } = props.lot
const range = (low: number, high: number) => f.volumes(low, high)
</script>

<template>
  <div v-if="expected" class="grid gap-2">
    <p class="expect">
      <template v-if="reckoned">
        Expect about <b class="figure">{{ f.words(f.volume(expected.juice.value)) }}</b> of juice, used for dosing ({{
          range(expected.juice.low, expected.juice.high)
        }}), and
      </template>
      <template v-else>Expect </template>{{ range(expected.wine.low, expected.wine.high) }} of finished wine{{
        grows && !inCans ? ', up to its mark' : ''
      }}.
      <template v-if="room === 'cap'">Must and skins fill about {{ f.words(f.volume(expected.mustL)) }}.</template>
      <template v-if="willBe !== undefined">
        With room for the {{ room }} you need a vessel of {{ f.words(f.volume(willBe / (1 - ROOM[room]))) }}.
      </template>
    </p>
    <WorkingNote
      :steps="yieldWorking"
      :source="YIELD_SOURCE"
    />
  </div>
</template>
