export { withinLimits } from '~~/core/units'
