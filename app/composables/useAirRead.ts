import { useRafFn } from '@vueuse/core'
import { type CameraProblem, Gathering } from '~/data/air'
import { codeReader } from '~/workers/start'

/** Wider pictures cost time and show no more of a code on a screen, pixels. */
const WIDE = 960

/**
 * Reads a run of codes by the camera until it is whole.
 * @param onWhole hears the text that they hold
 */
export function useAirRead(video: Ref<HTMLVideoElement | null>, onWhole: (text: string) => void) {
  const reading = ref(false)
  const have = ref(0)
  const of = ref(0)
  const damaged = ref(false)
  const problem = ref<CameraProblem>()
  let stream: MediaStream | undefined
  let gathering = new Gathering()
  let busy = false
  const canvas = document.createElement('canvas')
  const context = canvas.getContext('2d', { willReadFrequently: true })

  async function look() {
    const from = video.value
    if (busy || !from?.videoWidth || !context) return
    busy = true
    const shrink = Math.min(1, WIDE / from.videoWidth)
    canvas.width = from.videoWidth * shrink
    canvas.height = from.videoHeight * shrink
    context.drawImage(from, 0, 0, canvas.width, canvas.height)
    const picture = context.getImageData(0, 0, canvas.width, canvas.height)
    const code = await codeReader.call((worker) => worker.read(picture)).catch(() => undefined)
    busy = false
    if (code !== undefined && reading.value) hear(code)
  }
  function hear(code: string) {
    const heard = gathering.hear(code)
    if (heard.is === 'part') {
      have.value = heard.have
      of.value = heard.of
      damaged.value = false
    }
    if (heard.is === 'damaged') damaged.value = true
    if (heard.is !== 'whole') return
    end()
    onWhole(heard.text)
  }
  const { pause, resume } = useRafFn(() => void look(), { immediate: false, fpsLimit: 8 })

  async function start() {
    problem.value = undefined
    damaged.value = false
    have.value = of.value = 0
    gathering = new Gathering()
    if (!navigator.mediaDevices?.getUserMedia) {
      problem.value = 'insecure'
      return
    }
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } })
    }
    catch (error) {
      const { name } = error as DOMException
      problem.value = name === 'NotAllowedError' ? 'not-allowed' : name === 'NotFoundError' ? 'none' : 'other'
      return
    }
    reading.value = true
    await nextTick()
    if (!video.value) return end()
    video.value.srcObject = stream
    await video.value.play().catch(() => {})
    resume()
  }
  function end() {
    pause()
    reading.value = false
    for (const track of stream?.getTracks() ?? []) track.stop()
    stream = undefined
    codeReader.stop()
  }
  onBeforeUnmount(end)
  return { reading, have, of, damaged, problem, start, end }
}
