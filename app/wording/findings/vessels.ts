import type { Finding } from '~~/core/findings'
import type { VesselSays } from '~~/core/stages'
import { type FindingWords, days } from './say'

/** What an empty vessel asks for. */
export function sayVessel(finding: Finding<VesselSays>): FindingWords {
  switch (finding.code) {
    case 'wash-vessel':
      return {
        title: `Wash ${finding.name}`,
        reason: `${finding.held ? `${finding.held} came out of it` : 'It was emptied'}${finding.daysSince >= 1 ? ` ${days(finding.daysSince)} ago` : ''}. Dregs that dry on are hard to get off; sanitise it before it is filled.`
      }
    case 'sulphur-barrel':
      return {
        title: finding.urgency === 'wait' ? `${finding.name} keeps` : `Sulphur ${finding.name}`,
        reason:
          finding.daysSince === undefined
            ? 'Empty wood turns sour. Rinsed and drained, burn a disc in it, or fill it with a holding solution of sulphite and citric '
              + 'acid; bung it.'
            : `Last sulphured ${days(finding.daysSince)} ago; every four to six weeks while it is empty.`
      }
  }
}

/** Wood that has stood dry is swelled before a wine goes into it. */
export const saySwelling = (isNew: boolean): string =>
  isNew
    ? 'Swell it first: new wood is filled with clean water until nothing drips any more, one to three days, and drained.'
    : 'Swell it first: it has stood empty. Clean water until nothing drips any more, a day or two, and drain it.'
