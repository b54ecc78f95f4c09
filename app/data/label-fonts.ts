import text from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url'
import bold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf?url'
import display from '@expo-google-fonts/besley/500Medium/Besley_500Medium.ttf?url'
import type { LabelFonts } from '~~/core/labels/pdf'

const bytes = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The faces that are printed, from the application's own files. */
export async function labelFonts(): Promise<LabelFonts> {
  const [a, b, c] = await Promise.all([display, text, bold].map(bytes))
  return { display: a!, text: b!, bold: c! }
}
