export { PROFILES, levelFor, drawnHeightDm, vesselHeightDm } from './vessel-profile'
export type { VesselKind } from './vessel-profile'
export { ROOM, vesselFit } from './fit'
export type { RoomFor, VesselFit } from './fit'
