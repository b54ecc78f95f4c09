import type { Finding } from '~~/core/findings'
import type { VesselSays } from '~~/core/stages'
import { type FindingWords, days } from './say'

/** What an empty vessel asks for. */
export function sayVessel(finding: Finding<VesselSays>): FindingWords {
  switch (finding.code) {
    case 'wash-vessel':
      return {
        title: `Wash ${finding.name}`,
        reason: `${finding.held ? `It held ${finding.held}` : 'It was emptied'}${
          finding.daysSince >= 1 ? ` until ${days(finding.daysSince)} ago` : ''
        }. Dried-on dregs are hard to remove. Sanitise it before you fill it again.`
      }
    case 'sulphur-barrel':
      return {
        title: finding.urgency === 'wait' ? `${finding.name} is protected` : `Sulphur ${finding.name}`,
        reason:
          finding.daysSince === undefined
            ? 'An empty barrel turns sour. Rinse and drain it, burn a sulphur disc in it or fill it with a holding solution of '
              + 'sulphite and citric acid, and bung it.'
            : `Last done ${days(finding.daysSince)} ago. Repeat it every four to six weeks while the barrel is empty.`
      }
  }
}

/** Wood that has been dry is swelled before a wine goes into it. */
export const saySwelling = (isNew: boolean): string =>
  isNew
    ? 'Swell it first: fill new wood with clean water until nothing drips any more, one to three days, and drain it.'
    : 'Swell it first, because it was empty: fill it with clean water until nothing drips any more, a day or two, and drain it.'
