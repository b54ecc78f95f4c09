import type { Action } from '~~/core/findings'
import type { LotView } from '~~/core/ledger'
import type { StageFinding, StageSays } from '~~/core/stages'
import { BLENDED } from './blended'
import { BOTTLING } from './bottling'
import { BOTTLED } from './bottled'
import { CLEARING } from './clearing'
import { EVERY } from './every'
import { FAULT } from './fault'
import { FERMENT } from './ferment'
import { FINING } from './fining'
import { FINISHING } from './finishing'
import { GAS_SAYS } from './gas'
import { KEEPING } from './keeping'
import { KIT } from './kit'
import { LEES } from './lees'
import { MALOLACTIC_SAYS } from './malolactic'
import { MOUSSE } from './mousse'
import { MUST } from './must'
import { OAK } from './oak'
import { STABILITY } from './stability'
import { TOPPING } from './topping'
import { WOOD } from './wood'
import type { FindingWords, SayFormat, WordsFor } from './say'

export type { FindingWords, SayFormat } from './say'
export { saySwelling, sayVessel } from './vessels'

/** All words of all stages: the compiler asks for each code. */
const WORDS: WordsFor<StageSays> = {
  ...MUST,
  ...FERMENT,
  ...MALOLACTIC_SAYS,
  ...KEEPING,
  ...KIT,
  ...LEES,
  ...TOPPING,
  ...WOOD,
  ...GAS_SAYS,
  ...CLEARING,
  ...FAULT,
  ...FINING,
  ...FINISHING,
  ...OAK,
  ...BLENDED,
  ...STABILITY,
  ...MOUSSE,
  ...BOTTLING,
  ...BOTTLED,
  ...EVERY
}

/** A finding in words: what, why, and the label of the way to it. */
export function sayFinding(finding: StageFinding, lot: LotView, f: SayFormat): FindingWords {
  // The table is typed by its codes; that a finding meets the words of its own code is what the table says.
  const say = WORDS[finding.code] as unknown as (finding: StageFinding, lot: LotView, f: SayFormat) => FindingWords
  return say(finding, lot, f)
}

/** What is said of a lot that wants nothing. */
export const REST: FindingWords = { title: 'Nothing to do', reason: 'Leave it alone and keep it topped up.' }
export const IN_BOTTLES: FindingWords = { title: 'In bottles', reason: 'Keep them cool, dark and still.' }
export const OVER: FindingWords = { title: 'Empty', reason: 'Its history stays.' }

/** What an address asks for; nothing where nothing is said. */
function asked(parts: Record<string, string | number | undefined>): string {
  const said = Object.entries(parts).flatMap(([key, value]) => (value === undefined ? [] : [`${key}=${value}`]))
  return said.length > 0 ? `?${said.join('&')}` : ''
}

/** Where an action leads. */
export function addressOf(action: Action): string {
  switch (action.to) {
    case 'sulphite':
      return `/bench/sulphite?lot=${action.lotId}${action.aim ? `&aim=${action.aim}` : ''}`
    case 'measure':
      return `/bench/measure?lot=${action.lotId}${action.what ? `&what=${action.what}` : ''}${action.crush ? '&back=crush' : ''}`
    case 'correct':
      // The proposal is there when the page opens.
      return `/bench/correct?lot=${action.lotId}${action.crush ? '&back=crush&find=1' : ''}`
    case 'heat':
    case 'cold':
    case 'trial':
      return `/bench/${action.to}?lot=${action.lotId}`
    case 'stability':
      return `/bench/stability?lot=${action.lotId}${action.cold ? '&test=cold' : ''}`
    case 'bottle':
      return `/bench/${action.sparkling ? 'sparkling' : 'bottles'}?lot=${action.lotId}`
    case 'sweeten':
      return `/bench/sweet?lot=${action.lotId}`
    case 'crush':
      return `/crush/${action.lotId}${action.step ? `?step=${action.step}` : ''}`
    case 'yeast':
      return `/crush/${action.lotId}/yeast${action.again ? '?again=1' : ''}`
    case 'lot':
      return `/lots/${action.lotId}${asked({ log: action.log, what: action.what, amount: action.amount })}`
    case 'press':
    case 'restart':
    case 'feed':
    case 'malolactic':
      return `/lots/${action.lotId}/${action.to}`
    case 'move':
      return `/lots/${action.lotId}/move${action.as ? `?as=${action.as}` : ''}`
    case 'racking':
      return `/cellar/racking?lots=${action.lotId}`
    case 'round':
      return `/round?lot=${action.lotId}`
    case 'supplies':
      return '/stores/supplies'
    case 'cellar':
      return '/cellar'
  }
}
