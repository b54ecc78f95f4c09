export { likely } from './likely'
export type { Likelihood } from './likely'
export { QUANTITIES, QUANTITY_NAMES, quantityTyped } from './register'
export type { Quantity, QuantityName } from './register'
