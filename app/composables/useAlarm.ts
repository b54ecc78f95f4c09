/**
 * Rings when a step's time has come, as far as a web page can: a tone and a buzz while the page runs, a notification where
 * it is allowed, the screen kept on while it is in sight. A locked phone may silence all of it; the calendar file does not sleep.
 */
export function useAlarm() {
  const allowed = ref(typeof Notification === 'undefined' ? 'unsupported' : Notification.permission)
  let audio: AudioContext | undefined
  let lock: WakeLockSentinel | undefined

  /** Sound and notifications both want a tap first. */
  async function arm(): Promise<void> {
    try {
      audio ??= new AudioContext()
      await audio.resume()
    }
    catch {
      // No sound on this device; the page still says it.
    }
    if (typeof Notification !== 'undefined' && Notification.permission === 'default') allowed.value = await Notification.requestPermission()
    await stayAwake()
  }

  async function stayAwake(): Promise<void> {
    try {
      if (document.visibilityState === 'visible') lock = await navigator.wakeLock?.request('screen')
    }
    catch {
      // Refused when the battery is low: then the screen goes dark as always.
    }
  }
  const again = () => void (lock && document.visibilityState === 'visible' ? stayAwake() : undefined)

  function ring(title: string, text: string): void {
    if (audio?.state === 'running') {
      for (const [i, pitch] of [660, 880, 660].entries()) tone(audio, pitch, audio.currentTime + i * 0.35)
    }
    // A page that was reloaded and not touched since may not buzz; asking would only fill the console.
    if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([300, 150, 300])
    if (allowed.value === 'granted') void notify(title, text)
  }

  /** By the service worker where there is one: phones take it only from there. */
  async function notify(title: string, text: string): Promise<void> {
    const options = { body: text, tag: 'presk-step', requireInteraction: true }
    const worker = await navigator.serviceWorker?.getRegistration()
    if (worker) await worker.showNotification(title, options)
    else new Notification(title, options)
  }

  onMounted(() => document.addEventListener('visibilitychange', again))
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', again)
    void lock?.release()
    void audio?.close()
  })
  return { allowed, arm, ring }
}

function tone(audio: AudioContext, pitch: number, at: number): void {
  const [oscillator, gain] = [audio.createOscillator(), audio.createGain()]
  oscillator.frequency.value = pitch
  gain.gain.setValueAtTime(0.25, at)
  gain.gain.exponentialRampToValueAtTime(0.001, at + 0.3)
  oscillator.connect(gain).connect(audio.destination)
  oscillator.start(at)
  oscillator.stop(at + 0.32)
}
