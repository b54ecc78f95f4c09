export { PROFILES, levelFor, vesselHeightDm } from './vessel-profile'
export type { VesselKind } from './vessel-profile'
