import type { WinterRisk } from '~~/core/stages'
import type { SayFormat } from './findings/say'

/** What threatens a wine, in a few words. */
export function sayRisk(risk: WinterRisk, f: Pick<SayFormat, 'volume' | 'words'>): string {
  switch (risk.code) {
    case 'unprotected':
      return 'No sulphite since malolactic'
    case 'low-sulphite':
      return 'Below its sulphite level'
    case 'air':
      return `${f.words(f.volume(risk.airL))} of air over it`
    case 'not-measured':
      return 'Sulphite unknown'
  }
}

export const MALOLACTIC_SHORT = {
  'not-wanted': 'none wanted',
  'to-come': 'not started',
  'under-way': 'under way',
  'nearly': 'nearly finished',
  'done': 'finished'
} as const
