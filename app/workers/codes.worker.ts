import { expose } from 'comlink'
import { decodeQR } from 'qr/decode.js'
import { holdForLife } from './supervised'

/** Reads a QR code in a camera's picture; undefined where there is none, or only half of one. */
const codes = {
  hold: holdForLife,
  read(picture: ImageData): string | undefined {
    try {
      return decodeQR(picture)
    }
    catch {
      return undefined
    }
  }
}
export type Codes = typeof codes

expose(codes)
