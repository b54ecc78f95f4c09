import type { LotState } from '~~/core/ledger'

/** The lot named in the address (`?lot=`), so that a bench page can be reloaded and shared; none when it stands free. */
export function useLotFromAddress() {
  const cellar = useCellarStore()
  const route = useRoute()
  const lot = computed<LotState | undefined>(() => typeof route.query.lot === 'string' ? cellar.state.lots.get(route.query.lot) : undefined)
  return { lot }
}
