import { type MaterialCard, type MaterialKind, cardOf, cardsOf } from '~~/core/materials'
import { materialName, materialTitle } from '~/wording/materials'
import { useCellarStore } from '~/stores/cellar'

/** Materials as this cellar knows them: the built-in cards and its own. */
export function useMaterials() {
  const cellar = useCellarStore()
  const own = computed(() => cellar.state.cards)
  const of = (...kinds: MaterialKind[]): MaterialCard[] => cardsOf(kinds, own.value)
  return {
    own,
    of,
    card: (key: string) => cardOf(key, own.value),
    name: (key: string) => materialName(key, own.value),
    title: (key: string) => materialTitle(key, own.value),
    /** For a list to choose from. */
    choices: (...kinds: MaterialKind[]) => of(...kinds).map((card) => ({ value: card.key, label: materialTitle(card.key, own.value) }))
  }
}
