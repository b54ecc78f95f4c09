import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'

/** What CONTRIBUTING says of the rooms is what the linter holds: each rule is broken once here, and has to say so. */
describe('the linter', () => {
  const linter = new ESLint({ cwd: process.cwd() })
  it.each([
    ['units know no chemistry', 'core/units/planted.ts', `import { fitAcids } from '../acids'\nexport const x = fitAcids\n`,
      'no-restricted-imports'],
    ['chemistry knows no ledger', 'core/finishing/planted.ts', `import { foldCellar } from '../ledger'\nexport const x = foldCellar\n`,
      'no-restricted-imports'],
    ['the ledger knows no stages', 'core/ledger/planted.ts', `import { tasksOf } from '../stages'\nexport const x = tasksOf\n`,
      'no-restricted-imports'],
    ['no stage knows another', 'core/stages/lees/planted.ts', `import { gasStage } from '../gas'\nexport const x = gasStage\n`,
      'no-restricted-imports'],
    ['the core knows no framework', 'core/must/planted.ts', `import { ref } from 'vue'\nexport const x = ref\n`, 'no-restricted-imports'],
    ['the simulator knows no advice', 'simulator/planted.ts', `import { doseFor } from '../core/stages'\nexport const x = doseFor\n`,
      'no-restricted-imports'],
    ['one day for all', 'app/data/planted.ts', `export const day = (at: string) => at.slice(0, 10)\n`, 'no-restricted-syntax'],
    ['dates have one room', 'app/data/planted.ts', `export const d = new Intl.DateTimeFormat('en')\n`, 'no-restricted-syntax'],
    ['sentences are lines too', 'app/wording/planted.ts', `export const said = '${'word '.repeat(30)}'\n`, '@stylistic/max-len'],
    ['lines are no longer than 140', 'core/must/planted.ts', `export const x = [${'1111111111, '.repeat(14)}1]\n`, '@stylistic/max-len']
  ])('%s', async (_name, filePath, text, rule) => {
    const [result] = await linter.lintText(text, { filePath })
    expect(result!.messages.map((m) => m.ruleId)).toContain(rule)
  })
})
