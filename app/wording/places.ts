export interface Place {
  /** What is typed to go there. */
  words: readonly string[]
  label: string
  to: string
  /** It opens for one lot. */
  ofLot?: boolean
}

/** Every page, as the quick line knows it. */
export const PLACES: readonly Place[] = [
  { words: ['today'], label: 'Today', to: '/' },
  { words: ['round', 'go round'], label: 'Round', to: '/round' },
  { words: ['round sheet', 'sheet'], label: 'Round sheet', to: '/round/sheet' },
  { words: ['weighing list', 'weigh', 'to weigh'], label: 'Weighing list', to: '/round/weighing' },
  { words: ['curves', 'compare'], label: 'Compare ferments', to: '/lots/curves' },
  { words: ['forecasts', 'score', 'learned', 'learnt'], label: 'How good the forecasts were', to: '/lots/score' },
  { words: ['cellar', 'vessels'], label: 'Cellar', to: '/cellar' },
  { words: ['racking day', 'racking'], label: 'Racking day', to: '/cellar/racking' },
  { words: ['new lot', 'start a lot'], label: 'Start a lot', to: '/lots/new' },
  { words: ['lots', 'ledger'], label: 'Lots', to: '/lots' },
  { words: ['harvest', 'blocks'], label: 'Before harvest', to: '/harvest' },
  { words: ['season', 'year', 'timeline', 'going away'], label: 'Season', to: '/season' },
  { words: ['winter', 'wines'], label: 'Winter', to: '/winter' },
  { words: ['sulphite round'], label: 'Sulphite round', to: '/winter/sulphite' },
  { words: ['crush', 'crush floor', 'floor'], label: 'Crush day', to: '/crush' },
  { words: ['bench'], label: 'Bench', to: '/bench' },
  { words: ['measure'], label: 'Measure', to: '/bench/measure', ofLot: true },
  { words: ['sulphite', 'sulfite', 'so2'], label: 'Sulphite', to: '/bench/sulphite', ofLot: true },
  { words: ['correct', 'acid', 'acids', 'map of acids'], label: 'Correct', to: '/bench/correct', ofLot: true },
  { words: ['yeast bench', 'choose yeast'], label: 'Yeast', to: '/bench/yeast', ofLot: true },
  { words: ['ice', 'warmth', 'heat', 'cooling'], label: 'Cooling and heating', to: '/bench/heat', ofLot: true },
  { words: ['alcohol'], label: 'Alcohol', to: '/bench/alcohol', ofLot: true },
  { words: ['blend', 'blending'], label: 'Blend', to: '/bench/blend', ofLot: true },
  { words: ['heat test', 'cold test', 'stability', 'protein'], label: 'Heat and cold tests', to: '/bench/stability', ofLot: true },
  { words: ['cold', 'tartar'], label: 'Cold stabilising', to: '/bench/cold', ofLot: true },
  { words: ['trial', 'fining', 'bench trial'], label: 'Bench trial', to: '/bench/trial', ofLot: true },
  { words: ['sparkling', 'priming'], label: 'Sparkling', to: '/bench/sparkling', ofLot: true },
  { words: ['bottling', 'bottling day'], label: 'Bottling day', to: '/bench/bottles', ofLot: true },
  { words: ['sweeten a wine', 'sorbate'], label: 'Sweeten a wine', to: '/bench/sweet', ofLot: true },
  { words: ['bottles', 'bottle store'], label: 'Bottles', to: '/cellar/bottles' },
  { words: ['sweeten', 'sugar'], label: 'Sugar and water', to: '/bench/sweeten', ofLot: true },
  { words: ['free so2', 'iodine'], label: 'Free SO₂ by iodine', to: '/bench/free-so2', ofLot: true },
  { words: ['supplies', 'store', 'stores', 'shopping'], label: 'Supplies', to: '/stores/supplies' },
  { words: ['words', 'glossary', 'terms'], label: 'Glossary', to: '/words' },
  { words: ['http', 'api', 'calculations'], label: 'Calculations over HTTP', to: '/calculations' },
  { words: ['cards'], label: 'Own cards', to: '/stores/cards' },
  { words: ['instruments', 'equipment'], label: 'Instruments', to: '/stores/instruments' },
  { words: ['export', 'import', 'settings', 'units', 'backup', 'cellars'], label: 'Settings', to: '/settings' }
]
