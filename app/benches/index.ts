import { alcoholForm } from './alcohol'
import { bottlesForm } from './bottling'
import { coldForm } from './cold'
import { freeSo2Form } from './free-so2'
import { heatForm } from './heat'
import { pressForm } from './press'
import { restartForm } from './restart'
import { sparklingForm } from './sparkling'
import { stabilityForm } from './stability'
import { sugarAndWaterForm } from './sugar-and-water'
import { sulphiteForm } from './sulphite'
import { sweeteningForm } from './sweetening'
import { trialForm } from './trial'
import { yeastForm, yeastRunForm } from './yeast'

/** All benches that are data, for the tests that walk them; a page imports its own. */
export const BENCH_FORMS = [
  alcoholForm, bottlesForm, coldForm, freeSo2Form, heatForm, pressForm, restartForm, sparklingForm, stabilityForm, sugarAndWaterForm,
  sulphiteForm, sweeteningForm, trialForm, yeastForm, yeastRunForm
] as const
