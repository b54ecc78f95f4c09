import { useCellarStore } from '~/stores/cellar'

const LAST = 'presk.bench-lot'

/** The bench goes on with the lot that was worked on last in this tab. */
export function rememberBenchLot(id: string): void {
  try {
    sessionStorage.setItem(LAST, id)
  }
  catch {
    // Refused in some private windows: then the address alone tells.
  }
}
function lastBenchLot(): string {
  try {
    return sessionStorage.getItem(LAST) ?? ''
  }
  catch {
    return ''
  }
}

/** The lot that the address names, `?lot=`; without one the lot worked on last, and with `none` none. */
export function useLotFromAddress() {
  const cellar = useCellarStore()
  const route = useRoute()
  const lot = computed(() => {
    const asked = typeof route.query.lot === 'string' ? route.query.lot : lastBenchLot()
    return asked === 'none' ? undefined : cellar.lotOf(asked)
  })
  watch(
    () => lot.value?.id,
    (id) => id !== undefined && rememberBenchLot(id),
    { immediate: true }
  )
  return { lot }
}
