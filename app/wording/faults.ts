import type { Fault } from '~~/core/ledger'
import { listed } from './listed'

/** Faults as the trade names them. Their causes are apart (`faults-told`): only one page tells it. */
export const FAULT: Record<Fault, string> = {
  'oxidised': 'Oxidised',
  'volatile': 'Vinegar',
  'ethyl-acetate': 'Nail varnish',
  'reduced': 'Reduced',
  'brett': 'Brett',
  'cork-taint': 'Cork taint',
  'mousy': 'Mousy',
  'geranium': 'Geranium',
  'sulphite': 'Sulphite',
  'prickle': 'Prickle',
  'haze': 'Haze',
  'crystals': 'Crystals',
  'bitter': 'Bitter or harsh',
  'green': 'Green',
  'cooked': 'Cooked',
  'thin': 'Thin'
}

/** "oxidised and thin" */
export const sayFaults = (faults: readonly Fault[]): string => listed(faults.map((x) => FAULT[x].toLowerCase()))
