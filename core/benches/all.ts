import { alcohol } from './alcohol'
import { bottling } from './bottling'
import { cold } from './cold'
import { freeSo2 } from './free-so2'
import { heat } from './heat'
import { press } from './press'
import { restart } from './restart'
import { sparkling } from './sparkling'
import { stability } from './stability'
import { sugarAndWater } from './sugar-and-water'
import { sulphite } from './sulphite'
import { sweetening } from './sweetening'
import { trial } from './trial'
import { yeast } from './yeast'

/** Every bench, for the tests that walk them all. */
export const BENCHES = {
  alcohol, bottling, cold, freeSo2, heat, press, restart, sparkling, stability, sugarAndWater, sulphite, sweetening, trial, yeast
} as const
