import { useEffect, useRef, useState } from 'react'
import { waiting, type WashRun } from '../../../core/session/run.ts'
import { STEP_WORDS } from '../../../words/step-words.ts'
import { words } from '../../../words/stations/wash/run/use-clocks.ts'

/** Wall time, every second: a page that slept comes back to the right time. */
export function useNowMs(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const tick = () => setNow(Date.now())
    const timer = setInterval(tick, 1000)
    document.addEventListener('visibilitychange', tick)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', tick)
    }
  }, [])
  return now
}

/** Two short tones. Where the browser has no sound, or forbids it before a tap, the title and the page still tell. */
function ring(): void {
  try {
    const audio = new AudioContext()
    const volume = audio.createGain()
    volume.gain.value = 0.2
    volume.connect(audio.destination)
    for (const [at, hertz] of [
      [0, 880],
      [0.25, 1175],
    ] as const) {
      const tone = audio.createOscillator()
      tone.frequency.value = hertz
      tone.connect(volume)
      tone.start(audio.currentTime + at)
      tone.stop(audio.currentTime + at + 0.18)
    }
    setTimeout(() => void audio.close(), 1000)
  } catch {
    // Without sound.
  }
}

/** What is said when a clock has run out: "the wax melts: over". */
const overSaid = (kind: keyof typeof STEP_WORDS): string => words.theWaitIsOver(STEP_WORDS[kind].name)

/** Rings when a wait is over: sound, the page's title, and a notice of the system where it is allowed. Each rings once. */
export function useBells(run: WashRun, nowMs: number): void {
  const rung = useRef(new Map<string, number>())
  const due = waiting(run).filter(({ overMs }) => overMs <= nowMs)
  const last = due.at(-1)
  useEffect(() => {
    const isNew = due.filter(({ step, overMs }) => rung.current.get(step.id) !== overMs)
    if (isNew.length === 0) return
    for (const { step, overMs } of isNew) rung.current.set(step.id, overMs)
    // One bell, however many ran out while the page slept.
    ring()
    navigator.vibrate?.(200)
    const [first] = isNew
    if (first && document.hidden && 'Notification' in window && Notification.permission === 'granted')
      new Notification(overSaid(first.step.kind))
  })
  const said = last && `${overSaid(last.step.kind)} · `
  const shown = useRef('')
  const strip = (): void => {
    if (shown.current && document.title.startsWith(shown.current))
      document.title = document.title.slice(shown.current.length)
  }
  useEffect(() => {
    // Each station writes its own title when it is opened: what is over is put before it again.
    if (said !== undefined && document.title.startsWith(said)) return
    strip()
    shown.current = said ?? ''
    if (said !== undefined) document.title = `${said}${document.title}`
  })
  useEffect(() => strip, [])
}

/** "3:20" or "1:03:20" of some milliseconds; rounded up, so that nothing says 0 before it is over. */
export function sayClock(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000))
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60]
  const two = (n: number): string => String(n).padStart(2, '0')
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}

/** Whether the system may still be asked to tell of a clock that ran out, and the way to ask. */
export function useNotices(): { readonly canAsk: boolean; readonly ask: () => void } {
  const [permission, setPermission] = useState(() =>
    'Notification' in window ? Notification.permission : 'denied',
  )
  return {
    canAsk: permission === 'default',
    ask: () => void Notification.requestPermission().then(setPermission),
  }
}
