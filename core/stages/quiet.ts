/**
 * What is said on the left makes each task on the right keep still, by code or by key. Bottles that may burst are not laid down or tasted;
 * a ferment about which a decision is open is not stirred as if it went on; a wine whose yeast may still be at work is not racked off it;
 * what another stage asks for in its time is not asked for twice; less than a bottle of wine is drunk, not kept.
 */
export const QUIETS: readonly (readonly [loud: readonly string[], quiet: readonly string[]])[] = [
  [['weak-bottles', 'over-pressure', 'sweet-bottles'], ['lay-down', 'taste-bottle', 'drink-up']],
  [['stuck', 'tell-if-dry', 'not-begun'], ['stir-must', 'feed', 'sugar-step']],
  [['sugar-before-bacteria:goes-on'], ['rack-gross-lees']],
  [['look-at-clarity', 'rack-again', 'haze-stays', 'rack-off-fining'], ['settle:clear']],
  [
    ['rack-gross-lees'],
    ['settle:off-lees', 'settle:off-fining', 'settle:clear', 'settle:gas-out', 'settle:protein', 'settle:cold', 'settle:sound']
  ],
  [['rack-off-fining'], ['settle:off-fining']],
  [['shake-for-gas', 'degas'], ['settle:gas-out']],
  [['read-test', 'test-runs'], ['settle:protein', 'settle:cold']],
  [
    ['start-malolactic', 'malolactic-wanted', 'follow-malolactic', 'malolactic-stands', 'measure-malic', 'sulphite-after-malolactic'],
    ['settle:malic-settled', 'settle:cold', 'settle:protein', 'settle:sulphite-for-bottle']
  ],
  [['confirm-dryness', 'measure-blend', 'left-alone'], ['settle:stable-gravity']],
  [['wine-smells', 'smell-again'], ['settle:sound']],
  [['settle:sound'], ['smell-kept']],
  [['free-before-bottle'], ['check-sulphite', 'measure-free']],
  [
    ['remnant'],
    [
      'top-up', 'top-barrel', 'check-sulphite', 'sulphite-low', 'measure-wine', 'look-at-clarity', 'rack-again', 'rack-gross-lees',
      'haze-stays',
      'shake-for-gas', 'degas', 'start-malolactic', 'malolactic-wanted', 'follow-malolactic', 'sulphite-after-malolactic', 'stir-lees'
    ]
  ]
]

/**
 * The tasks that are left once what is said has made others keep still.
 * @param found everything that is told besides; asked for only where it counts
 */
export function withoutQuiet<T extends { code: string, key: string }>(tasks: readonly T[], found: () => readonly { code: string }[]): T[] {
  const asked = new Set(tasks.flatMap((t) => [t.code, t.key]))
  const quiet = QUIETS.filter(([, codes]) => codes.some((code) => asked.has(code)))
  if (quiet.length === 0) return [...tasks]
  const said = new Set([...asked, ...found().map((f) => f.code)])
  const still = new Set(quiet.flatMap(([loud, codes]) => (loud.some((code) => said.has(code)) ? codes : [])))
  return tasks.filter((t) => !still.has(t.code) && !still.has(t.key))
}
