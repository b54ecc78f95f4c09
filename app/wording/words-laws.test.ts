import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foldCellar, lotAt } from '~~/core/ledger'
import { isFact } from '~~/core/ledger/entries/kind'
import { crushSteps, findingsOf, judgeLot, tasksOf } from '~~/core/stages'
import { needsOfLot, supplyRows } from '~~/core/supplies'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { sayStatus } from './crush'
import { dayHere } from './days'
import { type FigureKey, sayDerivation } from './derivations'
import { sayFinding } from './findings'
import { materialName } from './materials'
import { sayLedgerProblem } from './problems'
import { sayFact } from './sentences'
import { NEED, saySupplyFinding } from './supplies'

const unit = (name: string) => (value: number) => ({ text: value.toFixed(1), unit: name })
const format = {
  volume: unit('L'),
  mass: unit('kg'),
  temperature: unit('°C'),
  powder: unit('g'),
  words: (s: { text: string, unit: string }) => `${s.text} ${s.unit}`,
  material: materialName
}
const names = { lot: (id: string) => id, vessel: (id?: string) => id ?? 'a vessel', instrument: (id: string) => id, material: materialName }
const FIGURES: FigureKey[] = ['volume', 'sg', 'ph', 'ta', 'freeSo2', 'abv', 'nitrogenGiven']

describe('words about lots as people have them, odd ones among them', () => {
  it('every entry, task, finding, step, need and figure has its sentence, whole and with numbers that are numbers', () => {
    fc.assert(
      fc.property(plausibleCellar, fc.constantFrom(0, 5, 60, 500), (entries, days) => {
        const cellar = foldCellar(entries)
        const now = new Date(Math.max(...entries.map((e) => Date.parse(e.at))) + days * 86_400_000).toISOString()
        const said = entries.filter(isFact).map((fact) => sayFact(fact, format, names))
        said.push(...cellar.problems.map(sayLedgerProblem))
        for (const state of cellar.lots.values()) {
          const lot = lotAt(state, now)
          for (const finding of [...tasksOf(lot, cellar, now), ...findingsOf(lot, cellar, now)]) {
            const words = sayFinding(finding, lot, format)
            said.push(words.title, words.reason)
            if (finding.action) expect(words.action, finding.code).toBeTruthy()
          }
          said.push(
            ...crushSteps(lot, now).map(
              (step) =>
                `step ${sayStatus(
                  step,
                  dayHere,
                  () => 3
                )}`
            )
          )
          judgeLot(lot)
          for (const key of FIGURES) if (lot[key]) said.push(sayDerivation(key, lot[key], lot, 'so much'))
          const needs = needsOfLot(lot, 'potassium-metabisulphite')
          said.push(...needs.map((need) => NEED[need.reason]))
          for (const row of supplyRows(needs, cellar.stock, now))
            said.push(...row.findings.map((x) => saySupplyFinding(x, (v) => v.toFixed(1))))
        }
        for (const words of said) {
          expect(words).toMatch(/\S/)
          expect(words).not.toMatch(/NaN|undefined|Infinity|null|\[object/)
        }
      }),
      { numRuns: 120 }
    )
  })
})
