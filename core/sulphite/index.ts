export { PKA_CONVENTION, freeSo2For, molecularSo2, sulphurousPka } from './molecular'
export { MOLECULAR_TARGET, PH_TOO_HIGH, SO2_SHARE, TOTAL_LIMIT, TYPICAL_BOUND_SHARE, stockSolutionMl, sulphiteDose } from './dose'
export type { SulphiteDose, SulphiteFinding, SulphiteRequest, SulphiteSalt } from './dose'
