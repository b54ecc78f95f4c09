export { stabilityStage, testUnderWay } from './stability-stage'
export type { StabilitySays, TestUnderWay } from './stability-stage'
