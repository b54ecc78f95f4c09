<script setup lang="ts">
import { useDayRead } from '~/composables/useDayRead'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'
/** A day's round as it was read, in the sheet's rows, to print and file. */
const props = defineProps<{ day: string }>()
const cellar = useCellarStore()
const f = useFormat()
const lines = useDayRead(() => props.day)
const vesselsOf = (contents: ReadonlyMap<string, number>) =>
  [...contents.keys()].map((id) => cellar.state.vessels.get(id)?.name).filter(Boolean).join(', ')
</script>

<template>
  <p v-if="!lines.length" class="soft">Nothing was logged on this day.</p>
  <div v-else class="ruled" tabindex="0" role="region" aria-label="The sheet">
    <table>
      <thead>
        <tr><th>Lot</th><th>Time</th><th>Gravity</th><th>{{ f.temperatureUnit.value }}</th><th>Done, measured and noted</th></tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <th scope="row">{{ line.lot.name }}<span class="soft small block">{{ vesselsOf(line.lot.contents) }}</span></th>
          <td>{{ line.time }}</td>
          <td>{{ line.gravity }}</td>
          <td>{{ line.celsius === undefined ? '' : f.temperature(line.celsius).text }}</td>
          <td><span v-for="(said, i) in line.rest" :key="i" class="block">{{ said }}</span></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
