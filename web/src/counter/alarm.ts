/** Three rising notes, made by the browser: no file is played. */
const NOTES_HZ = [523.25, 659.25, 783.99] as const
const NOTE_S = 0.22

let context: AudioContext | null = null

/** A short sound, a buzz where there is one, and a notification where it was allowed. */
export function ring(words: string, hasSound: boolean): void {
  if (hasSound) playNotes()
  if ('vibrate' in navigator) navigator.vibrate([200, 100, 200])
  if (
    'Notification' in window &&
    Notification.permission === 'granted' &&
    document.visibilityState === 'hidden'
  )
    new Notification('Frijol', { body: words, tag: words })
}

function playNotes(): void {
  try {
    context ??= new AudioContext()
    const { currentTime, destination } = context
    NOTES_HZ.forEach((frequency, at) => {
      if (context === null) return
      const tone = new OscillatorNode(context, { type: 'triangle', frequency })
      const begins = currentTime + at * NOTE_S
      const level = new GainNode(context, { gain: 0 })
      level.gain.setValueAtTime(0, begins)
      level.gain.linearRampToValueAtTime(0.3, begins + 0.02)
      level.gain.exponentialRampToValueAtTime(0.001, begins + NOTE_S)
      tone.connect(level).connect(destination)
      tone.start(begins)
      tone.stop(begins + NOTE_S)
    })
    void context.resume()
  } catch (error) {
    console.error('The browser makes no sound', error)
  }
}

/** Whether the browser may tell what is due while another page is in front; null where it cannot. */
export const mayNotify = (): NotificationPermission | null =>
  'Notification' in window ? Notification.permission : null

export const askToNotify = async (): Promise<NotificationPermission | null> =>
  'Notification' in window ? Notification.requestPermission() : null
