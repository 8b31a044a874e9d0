import { useEffect, useEffectEvent, useState } from 'react'
import { Button } from '../../ui/parts/Button.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { words } from '../../words/stations/gauge/live-caliper.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

type Link = 'off' | 'connecting' | 'on' | 'lost' | 'unreachable'

const SAID: Readonly<Record<Link, string>> = {
  off: words.notConnected,
  connecting: words.connecting,
  on: words.connectedPressTheButton,
  lost: words.connectionLostWhatCame,
  unreachable: words.theCaliperCannotBe,
}

interface Sent {
  readonly mm: number
  readonly battery: 'good' | 'low'
}

function parseSent(data: unknown): Sent | undefined {
  try {
    const { mm, battery } = JSON.parse(String(data)) as Partial<Sent>
    return typeof mm === 'number' && mm > 0 && mm < 3000
      ? { mm, battery: battery === 'low' ? 'low' : 'good' }
      : undefined
  } catch {
    return undefined
  }
}

function useStream(wanted: boolean, onLength: (mm: number) => void) {
  const [link, setLink] = useState<Link>('off')
  const [sent, setSent] = useState<Sent>()
  const take = useEffectEvent(onLength)
  useEffect(() => {
    if (!wanted) return undefined
    const stream = new EventSource('/api/caliper/stream')
    stream.onopen = () => setLink('on')
    stream.onerror = () => setLink((held) => (held === 'on' || held === 'lost' ? 'lost' : 'unreachable'))
    stream.onmessage = ({ data }) => {
      const reading = parseSent(data)
      if (!reading) return
      setSent(reading)
      take(reading.mm)
    }
    return () => {
      stream.close()
      setLink('off')
    }
  }, [wanted])
  return { link: wanted && link === 'off' ? 'connecting' : link, sent } as const
}

const post = (path: string, body?: unknown): Promise<boolean> =>
  fetch(`/api/caliper/${path}`, {
    method: 'POST',
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  }).then(
    ({ ok }) => ok,
    () => false,
  )

/** The caliper that ships with the server in place of a real one: its jaws, its faults, and its button. */
function StandIn() {
  const [elongation, setElongation] = useState(0.6)
  const [noiseMm, setNoise] = useState(0.02)
  const [dropAfter, setDropAfter] = useState(0)
  const [batteryLow, setBatteryLow] = useState(false)
  const [fault, setFault] = useState('')
  const settle = async (change: Record<string, number | boolean>) =>
    setFault((await post('settings', change)) ? '' : words.theStandInDoes)
  const number = (
    label: string,
    name: string,
    value: number,
    set: (next: number) => void,
    step: number,
    max: number,
    digits: number,
  ) => (
    <Stepper
      label={label}
      value={value}
      step={step}
      min={0}
      max={max}
      digits={digits}
      onStep={(next) => {
        set(next)
        if (Number.isFinite(next)) void settle({ [name]: next })
      }}
    />
  )
  return (
    <details className="mt-3 text-sm">
      <summary className="inline-block min-h-6 cursor-pointer underline underline-offset-4">
        {words.theStandInForACaliper}
      </summary>
      <p className="mt-2 text-steel">{words.noCaliperAtHand}</p>
      <div className="mt-3 grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        {number(words.chainInItsJaws, 'elongation', elongation, setElongation, 0.05, 2, 2)}
        {number(words.noiseMm, 'noiseMm', noiseMm, setNoise, 0.01, 1, 2)}
        {number(words.dropsOutAfter, 'dropAfter', dropAfter, setDropAfter, 1, 100, 0)}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-petrol"
            checked={batteryLow}
            onChange={(event) => {
              setBatteryLow(event.target.checked)
              void settle({ batteryLow: event.target.checked })
            }}
          />
          {words.batteryLow}
        </label>
        <Button onClick={() => void post('press').then((ok) => setFault(ok ? '' : words.theStandInDoes))}>
          {words.pressItsButton}
        </Button>
      </div>
      {fault && (
        <p role="alert" className="text-rust">
          {fault}
        </p>
      )}
    </details>
  )
}

/** A caliper with a data button: what it sends goes into the reading in hand. */
export function LiveCaliper({ onLength }: { readonly onLength: (mm: number) => void }) {
  const [wanted, setWanted] = useState(false)
  const { link, sent } = useStream(wanted, onLength)
  return (
    <section aria-labelledby="live-caliper" className="border-t border-hairline pt-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h3 id="live-caliper" className="text-[0.95rem] font-semibold">
          {words.caliperWithAData}
        </h3>
        <Button onClick={() => setWanted(!wanted)}>{wanted ? words.disconnect : words.connect}</Button>
      </div>
      <p
        role="status"
        className={`mt-2 text-sm ${link === 'lost' || link === 'unreachable' ? 'font-medium text-rust' : 'text-steel'}`}
      >
        {SAID[link]} {sent && words.lastMm(sayDecimal(sent.mm, 2))}{' '}
        {sent?.battery === 'low' && words.itsBatteryIsLow}
      </p>
      <p className="mt-1 text-sm text-steel">{words.aCaliperThatTypes}</p>
      <StandIn />
    </section>
  )
}
