import { FORM_NAMES } from '../core/fermentation/reference/ferments.fixture'
import { ferments, usualFrom } from './ferment-prior'

/** What core/fermentation/usual.ts holds: set on all forms. Printed by `npm run bench -- usual-ferment`. */
export const benchUsualFerment = () => usualFrom(ferments(FORM_NAMES, 70), 5)
