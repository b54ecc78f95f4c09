import { benchAcids } from './acids'

/** Prints one JSON object with everything that is measured. */
console.log(JSON.stringify({ acids: benchAcids() }, null, 1))
