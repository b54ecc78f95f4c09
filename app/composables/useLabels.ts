import { watchDebounced } from '@vueuse/core'
import { LAYOUTS, LAYOUT_KEYS, type LayoutKey, SHEETS, SHEET_KEYS, type Shape, perSheet } from '~~/core/labels'
import type { LotView } from '~~/core/ledger'
import { downloadBytes } from '~/data/download'
import { labelWords } from '~/wording/labels'
import { filler } from '~/composables/filler'
import { useMaterials } from '~/composables/useMaterials'
import { usePlainField } from '~/composables/usualFields'

/** Nobody prints more at once, and a slip of a digit makes no book. */
const MOST = 500
type Print = Awaited<typeof import('~~/core/labels/pdf')>

/** Labels of a lot: what they say, how they look, on which sheet. What is chosen is in the address. */
export function useLabels(lot: Ref<LotView | undefined>) {
  const route = useRoute()
  const { own: cards } = useMaterials()
  const asked = (key: string): string => String(route.query[key] ?? '')
  const change = (to: Record<string, string | undefined>) => void navigateTo({ query: { ...route.query, ...to } }, { replace: true })
  const chosen = <Key extends string>(key: string, keys: readonly Key[]) =>
    computed<Key>({
      get: () => keys.find((k) => k === asked(key)) ?? keys[0]!,
      set: (to) => change({ [key]: to })
    })
  const flag = (key: string) =>
    computed<boolean>({ get: () => asked(key) !== 'no', set: (is) => change({ [key]: is ? undefined : 'no' }) })
  const layout = chosen('layout', LAYOUT_KEYS)
  const sheetKey = chosen('sheet', SHEET_KEYS)
  const sheet = computed(() => SHEETS[sheetKey.value])
  const sizes = computed(() => [...new Set((lot.value?.bottled ?? []).map((b) => b.sizeMl))])
  const size = computed<number | undefined>({
    get: () => sizes.value.find((ml) => String(ml) === asked('size')) ?? sizes.value.at(-1),
    set: (ml) => change({ size: ml === undefined ? undefined : String(ml) })
  })
  const name = ref(asked('name'))
  const own = ref(asked('line'))
  watchDebounced([name, own], () => change({ name: name.value || undefined, line: own.value || undefined }), { debounce: 400 })
  const [code, notForSale] = [flag('code'), flag('sale')]
  const left = () => (lot.value?.bottled ?? []).filter((b) => b.sizeMl === size.value).reduce((sum, b) => sum + b.left, 0)
  const fields = {
    count: usePlainField(1, MOST, `A whole number of labels, up to ${MOST}.`, {
      text: asked('count') || String(left() || perSheet(sheet.value))
    }),
    from: usePlainField(1, 60, 'The number of the first free label on the sheet.', { text: asked('from') || '1' }),
    right: usePlainField(-10, 10, 'Between −10 and 10 mm.', { text: '0' }),
    down: usePlainField(-10, 10, 'Between −10 and 10 mm.', { text: '0' })
  }
  // As many as there are bottles of that size, until somebody says otherwise.
  const fillCount = filler(fields.count)
  watch(size, () => fillCount(String(left() || perSheet(sheet.value))))
  watchDebounced(
    () => [fields.count.value, fields.from.value],
    ([count, from]) =>
      change({
        count: count === undefined ? undefined : String(count),
        from: from === undefined || from === 1 ? undefined : String(from)
      }),
    { debounce: 400 }
  )
  const count = computed(() => Math.round(fields.count.value ?? 0))
  const from = computed(() => Math.min(perSheet(sheet.value), Math.round(fields.from.value ?? 1)))

  /** What measures and prints comes when this page is opened, and not before. */
  const print = shallowRef<
    Print & { fonts: Awaited<ReturnType<typeof import('~/data/label-fonts').labelFonts>> } & ReturnType<Print['measureWith']>
  >()
  const failed = ref(false)
  onMounted(async () => {
    try {
      const [pdf, { labelFonts }] = await Promise.all([import('~~/core/labels/pdf'), import('~/data/label-fonts')])
      const fonts = await labelFonts()
      print.value = { ...pdf, fonts, ...pdf.measureWith(fonts) }
    }
    catch {
      failed.value = true
    }
  })
  const words = computed(
    () =>
      lot.value &&
      labelWords(
        lot.value,
        { name: name.value.trim(), own: own.value.trim(), sizeMl: size.value, notForSale: notForSale.value, code: code.value },
        cards.value
      )
  )
  const shapesOf = (key: LayoutKey): Shape[] =>
    print.value && words.value && lot.value
      ? LAYOUTS[key]({
          words: words.value,
          style: lot.value.style,
          w: sheet.value.labelW,
          h: sheet.value.labelH,
          measure: print.value.measure
        })
      : []
  const drawn = computed(() => Object.fromEntries(LAYOUT_KEYS.map((key) => [key, shapesOf(key)])) as Record<LayoutKey, Shape[]>)
  /** Letters that would print as an empty box. */
  const missing = computed(() => {
    const w = words.value
    return print.value && w
      ? [...new Set([...print.value.missing(w.name, 'display'), ...print.value.missing(w.own + w.from, 'text')])]
      : []
  })
  const busy = ref(false)
  async function save(): Promise<boolean> {
    const l = lot.value
    for (const field of Object.values(fields)) field.touch()
    if (!l || !print.value || Object.values(fields).some((field) => field.value === undefined)) return false
    busy.value = true
    try {
      const title = [words.value!.name, words.value!.vintage].filter(Boolean).join(' ')
      const bytes = await print.value.labelsPdf({
        shapes: drawn.value[layout.value],
        sheet: sheet.value,
        count: count.value,
        from: from.value,
        nudge: { x: fields.right.value!, y: fields.down.value! },
        title,
        fonts: print.value.fonts
      })
      downloadBytes(bytes, `labels ${title}`, 'pdf', 'application/pdf')
      return true
    }
    finally {
      busy.value = false
    }
  }
  return {
    fields,
    layout,
    sheetKey,
    sheet,
    sizes,
    size,
    name,
    own,
    code,
    notForSale,
    count,
    from,
    words,
    drawn,
    missing,
    failed,
    busy,
    save
  }
}
