export { vesselTasksOf, wantsSwelling, wantsWashing } from './vessel-tasks'
export type { VesselSays } from './vessel-tasks'
