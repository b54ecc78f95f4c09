import type { FollowFinding } from '~~/core/fermentation'
import { counted } from './count'

/** What is wrong with what a followed instrument sent. */
export function sayFollowed(f: FollowFinding): string {
  switch (f.code) {
    case 'nonsense':
      return `${counted(f.count, 'reading')} that cannot be right`
    case 'twice':
      return `${counted(f.count, 'reading')} sent twice`
    case 'out-of-time':
      return `${counted(f.count, 'reading')} from another time`
    case 'gap':
      return `silent for ${Math.round(f.hours)} h`
  }
}
