<script setup lang="ts">
/** A table of figures: words left, figures right in columns. With many rows a heading sorts it. */
export interface FigureColumn {
  key: string
  label: string
  right?: boolean
  strong?: boolean
  sortable?: boolean
}
type Row = Record<string, string | number | undefined>

const props = defineProps<{
  columns: readonly FigureColumn[]
  rows: readonly Row[]
  caption?: string
  /** Only figures below each other: no headings. */ plain?: boolean
}>()
defineSlots<{ action?: (row: { row: Row }) => unknown }>()
const slots = useSlots()

const sorting = ref<{ id: string, desc: boolean }[]>([])
const columns = computed(() => [
  ...props.columns.map(({ key, label, right, strong }) => ({
    accessorKey: key,
    header: label,
    meta: {
      class: {
        th: `${right ? 'text-right' : ''} ${props.plain ? 'sr-only' : ''}`,
        td: `${right ? 'text-right' : ''} ${strong ? 'font-bold' : ''}`
      }
    }
  })),
  ...(slots.action ? [{ id: 'action', header: '', meta: { class: { td: 'text-right' } } }] : [])
])
const toggle = (key: string) => {
  const [now] = sorting.value
  sorting.value = now?.id === key ? (now.desc ? [] : [{ id: key, desc: true }]) : [{ id: key, desc: false }]
}
const sortable = computed(() => props.columns.filter((c) => c.sortable))
const sign = (key: string) =>
  sorting.value[0]?.id === key ? (sorting.value[0].desc ? 'i-lucide-arrow-down' : 'i-lucide-arrow-up') : 'i-lucide-arrow-up-down'
</script>

<template>
  <LazyUTable v-model:sorting="sorting" :data="[...rows]" :columns="columns" :caption="caption" :ui="{ caption: 'sr-only' }">
    <template v-for="c in sortable" :key="c.key" #[`${c.key}-header`]>
      <UButton variant="ghost" color="neutral" class="-mx-2.5" :trailing-icon="sign(c.key)" @click="toggle(c.key)">{{ c.label }}</UButton>
    </template>
    <template v-if="slots.action" #action-cell="{ row }"><slot name="action" :row="row.original as Row" /></template>
  </LazyUTable>
</template>
