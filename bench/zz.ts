import { benchFerments } from './ferments'; console.log(JSON.stringify(benchFerments(),null,1))
