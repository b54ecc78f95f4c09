import { describe, expect, it } from 'vitest'
import { normalFrom, seeded } from '~~/core/units'
import { type FindDocument, Finder } from './finder'

const NOW = new Date('2026-11-30T12:00:00Z')
const entry = (id: string, at: string, title: string, text: string): FindDocument =>
  ({ id: `entry:${id}`, kind: 'entry', title, text, to: `/lots/x?entry=${id}`, at: `${at}T10:00:00.000Z` })
const HISTORY: FindDocument[] = [
  entry('1', '2025-09-20', 'Started with 118 kg of fruit: fresh grapes, in Blue bin.', 'Carignan Red Fresh grapes September'),
  entry('2', '2025-09-22', '30 g of complex nutrient went in, half now.', 'Carignan Red added dosed gave September'),
  entry('3', '2025-09-28', '29.8 L moved from Blue bin to Old oak.', 'Carignan Red transfer racked racking rack September'),
  entry('4', '2025-11-02', '4 g of potassium metabisulphite went in.', 'Albariño White Fresh grapes added dosed gave November'),
  entry('5', '2026-09-14', '12 g of complex nutrient went in.', 'Carignan Red added dosed gave September'),
  entry('6', '2026-10-03', '24 L moved from Pail to Old oak.', 'Bobal Red racked racking rack October'),
  entry('7', '2026-10-20', '5 g of potassium metabisulphite went in.', 'Albariño White Fresh grapes added dosed gave October'),
  entry('8', '2026-11-05', 'Free SO₂ 28 mg/L.', 'Albariño White measured read reading November'),
  entry('9', '2026-11-12', 'Smell: rotten egg, went after racking.', 'Mencía Red November'),
  entry('10', '2026-11-20', 'Bottled: 30 of 750 mL, cork.', 'Treixadura White bottles corked filled November'),
  entry('11', '2026-11-21', 'Yeast pitched: for reds, 20 g.', 'Blaufränkisch Red pitched inoculated November'),
  entry('12', '2026-11-22', 'Old oak sanitised.', 'washed cleaned sanitised November'),
  entry('13', '2026-11-23', 'pH 3.71 (Pocket pH meter).', 'Tempranillo Red measured read reading November'),
  entry('14', '2026-11-24', 'Tasted, 7 of 10: plums, a little short.', 'Carignan Red taste tasted rating November'),
  entry('15', '2026-11-25', 'Grapes: 140.00 paid, from the neighbour.', 'Tempranillo Red price paid cost November'),
  entry('16', '2026-11-26', 'Malolactic bacteria pitched: a culture.', 'Tempranillo Red pitched inoculated November')
]
const REST: FindDocument[] = [
  { id: 'lot:a', kind: 'lot', title: 'Albariño', text: 'White Fresh grapes lot', to: '/lots/a' },
  { id: 'lot:c', kind: 'lot', title: 'Carignan', text: 'Red Fresh grapes lot', to: '/lots/c' },
  { id: 'vessel:o', kind: 'vessel', title: 'Old oak', text: 'vessel with Bobal', to: '/lots/b' },
  { id: 'page:/bench/sulphite', kind: 'page', title: 'Sulphite', text: 'sulphite sulfite so2', to: '/bench/sulphite' },
  { id: 'page:/cellar/racking', kind: 'page', title: 'Racking day', text: 'racking day racking', to: '/cellar/racking' },
  { id: 'word:lees', kind: 'word', title: 'Lees', text: 'What settles at the bottom: spent yeast and bits of grape.', to: '/words#lees' },
  { id: 'supply:bentonite', kind: 'supply', title: 'Bentonite', text: 'in the store', to: '/stores/supplies' }
]
const finder = new Finder()
finder.put([...HISTORY, ...REST])

describe('a question finds its answer first', () => {
  it.each([
    ['racked carignan', 'entry:3'],
    ['Carignan racked', 'entry:3'],
    ['when did I rack the carignan', 'entry:3'],
    ['when did I sulphite the white', 'entry:7'],
    ['sulfite albarino', 'entry:7'],
    ['last year nutrient', 'entry:2'],
    ['last year’s nutrient', 'entry:2'],
    ['nutrient carignan', 'entry:5'],
    ['how much nutrient in 2025', 'entry:2'],
    ['moved into old oak', 'entry:6'],
    ['free so2 albariño', 'entry:8'],
    ['rotten egg', 'entry:9'],
    ['roten egg', 'entry:9'],
    ['when did we bottle the treixadura', 'entry:10'],
    ['treixadura bottled', 'entry:10'],
    ['blaufrankisch yeast', 'entry:11'],
    ['when was the old oak washed', 'entry:12'],
    ['what pH has the tempranillo', 'entry:13'],
    ['carignan tasting', 'entry:14'],
    ['plums', 'entry:14'],
    ['what did the grapes cost', 'entry:15'],
    ['neighbour', 'entry:15'],
    ['bacteria', 'entry:16'],
    ['mlf bacteria', 'entry:16'],
    ['metabisulphite october', 'entry:7'],
    ['sulphite november 2025', 'entry:4'],
    ['albarino', 'lot:a'],
    ['Albariño', 'lot:a'],
    ['carig', 'lot:c'],
    ['carignam', 'lot:c'],
    ['old oak', 'vessel:o'],
    ['oak old', 'vessel:o'],
    ['sulphite', 'page:/bench/sulphite'],
    ['racking day', 'page:/cellar/racking'],
    ['lees', 'word:lees'],
    ['spent yeast', 'word:lees'],
    ['bentonite', 'supply:bentonite'],
    ['bentonit', 'supply:bentonite'],
    ['benton', 'supply:bentonite'],
    ['when was carignan racked last', 'entry:3'],
    ['rack carignan', 'entry:3'],
    ['racking carignan', 'entry:3'],
    ['CARIGNAN RACKED', 'entry:3'],
    ['did I sulphite the albariño', 'entry:7'],
    ['metabisulphite albarino', 'entry:7'],
    ['nutrient last year', 'entry:2'],
    ['how much nutrient did the carignan get', 'entry:5'],
    ['old oak carignan', 'entry:3'],
    ['free sulphur albarino', 'entry:8'],
    ['egg smell', 'entry:9'],
    ['bottled treixadura', 'entry:10'],
    ['treixadura bottles', 'entry:10'],
    ['which yeast in the blaufrankisch', 'entry:11'],
    ['old oak cleaned', 'entry:12'],
    ['tempranillo ph', 'entry:13'],
    ['how did the carignan taste', 'entry:14'],
    ['plum', 'entry:14'],
    ['cost of the grapes', 'entry:15'],
    ['malolactic bacteria', 'entry:16'],
    ['tempranilo ph', 'entry:13']
  ])('%s', (question, wanted) => expect(finder.find(question, NOW)[0]?.id).toBe(wanted))
  it.each(['', '   ', 'the', 'xyzzy quux', '🍇'])('nothing for %j', (question) => expect(finder.find(question, NOW)).toEqual([]))
})

describe('the index', () => {
  const WORDS = 'racked topped stirred oak plum cherry smoke leather pail cellar cold warm slow fast clear cloudy'.split(' ')
  const random = seeded(3)
  const many = Array.from({ length: 400 }, (_, i) => entry(`m${i}`, `2026-0${1 + (i % 9)}-11`,
    Array.from({ length: 5 }, () => WORDS[Math.floor(random() * WORDS.length)]).join(' '), ''))
  const full = new Finder()
  full.put(many)
  it('finds by exact words what a plain scan finds', () => {
    for (let i = 0; i < 60; i++) {
      const [a, b] = [WORDS[i % WORDS.length]!, WORDS[(i * 7 + 3) % WORDS.length]!]
      const scanned = many.filter((d) => [a, b].every((w) => d.title.split(' ').includes(w))).map((d) => d.id)
      const hits = new Set(full.find(`${a} ${b}`, NOW, 1000).map((h) => h.id))
      expect(scanned.filter((id) => !hits.has(id)), `${a} ${b}`).toEqual([])
    }
  })
  it('follows what changes and what is deleted', () => {
    const own = new Finder()
    own.put(HISTORY)
    own.put([{ ...HISTORY[2]!, title: '29.8 L moved from Blue bin to New oak.' }])
    expect(own.find('new oak', NOW)[0]?.id).toBe('entry:3')
    own.drop(['entry:3', 'entry:unknown'])
    expect(own.find('new oak', NOW).map((h) => h.id)).not.toContain('entry:3')
  })
  it('takes any text', () => {
    const z = normalFrom(random)
    const sign = () => Math.floor(Math.abs(z()) * 900) % 0xd000
    for (let i = 0; i < 200; i++) expect(() => full.find(String.fromCodePoint(...Array.from({ length: 8 }, sign)), NOW)).not.toThrow()
  })
})
