export type { Act, ActCode } from './act'
export { judgeAddition } from './judge-addition'
export { judgeInoculation, judgeMove, judgeReading } from './judge-others'
export { asItWas, noteActs } from './note'
