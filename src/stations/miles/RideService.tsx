import { useEffect, useRef, useState } from 'react'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { ServiceError } from '../../services/patient-fetch.ts'
import { RIDE_SERVICE, signIn } from '../../services/ride-service.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayCount, sayKm } from '../../words/numbers.ts'
import { syncRides, type SyncSum } from './sync-rides.ts'

const NOTHING: SyncSum = { added: 0, addedKm: 0, known: 0, removed: 0, refused: 0, pages: 0 }

/** Rides from the service: sign in once, then one press brings what is new. */
export function RideService({ bike }: { readonly bike: BikeEntry }) {
  const { ledger, kept, record } = useOpenLog()
  const units = useUnits()
  const tokenKey = `ride exchange token ${bike.bike}`
  const placeKey = `ride exchange place ${bike.bike}`
  const [token, setToken] = useState<string>()
  const [rider, setRider] = useState('')
  const [pin, setPin] = useState('')
  const [said, setSaid] = useState('')
  const [fault, setFault] = useState<string>()
  const [sum, setSum] = useState<SyncSum>()
  const running = useRef<AbortController>(undefined)
  const [busy, setBusy] = useState(false)
  useEffect(() => {
    let wanted = true
    void kept.read(tokenKey).then((held) => wanted && typeof held === 'string' && setToken(held))
    return () => {
      wanted = false
      running.current?.abort()
    }
  }, [kept, tokenKey])

  const enter = async () => {
    setFault(undefined)
    try {
      const held = await signIn(rider, pin)
      await kept.keep(tokenKey, held)
      setToken(held)
      setPin('')
    } catch (error) {
      setFault(error instanceof ServiceError ? error.message : 'Signing in failed.')
    }
  }

  const sync = async () => {
    if (token === undefined) return
    const control = new AbortController()
    running.current = control
    setBusy(true)
    setFault(undefined)
    setSum(NOTHING)
    const tell = (now: SyncSum) =>
      `${sayCount(now.added, 'ride')} added${now.added > 0 ? `, ${sayKm(now.addedKm, units)}` : ''}; ${now.known} here already${now.removed > 0 ? `; ${now.removed} deleted there and taken out here` : ''}${now.refused > 0 ? `; ${now.refused} left out: their day or distance cannot be` : ''}.`
    let held = NOTHING
    try {
      held = await syncRides({
        token,
        bike: bike.bike,
        ledger,
        kept,
        record,
        placeKey,
        signal: control.signal,
        onProgress: (now) => {
          held = now
          setSum(now)
          setSaid('')
        },
        onWait: (ms, why) => setSaid(`${why} Trying again in ${Math.max(1, Math.round(ms / 1000))} s.`),
      })
      setSaid(`Up to date. ${tell(held)}`)
    } catch (error) {
      if (error instanceof ServiceError && error.status === 401) {
        setToken(undefined)
        await kept.keep(tokenKey, undefined)
        setFault('Please sign in to the service again.')
      } else if (control.signal.aborted) setSaid(`Stopped. ${tell(held)} The next sync goes on from there.`)
      else
        setFault(
          `${error instanceof ServiceError ? error.message : 'The sync broke off.'} ${tell(held)} Press sync again: it goes on from there.`,
        )
    } finally {
      setBusy(false)
      setSum(undefined)
    }
  }

  return (
    <section aria-labelledby="service" className="flex flex-col gap-3 border-t border-hairline pt-4">
      <h3 id="service" className="text-[0.95rem] font-semibold">
        From the {RIDE_SERVICE}
      </h3>
      {token === undefined ? (
        <>
          <p className="text-sm text-steel">
            A made-up service that ships with this app, to try syncing with: rider heron, PIN 1807.
          </p>
          <div className="grid grid-cols-2 gap-3">
            <TextField label="Rider" value={rider} onChange={(event) => setRider(event.target.value)} />
            <TextField
              label="PIN"
              type="password"
              inputMode="numeric"
              value={pin}
              onChange={(event) => setPin(event.target.value)}
            />
          </div>
          <Button className="self-start" onClick={() => void enter()}>
            Sign in
          </Button>
        </>
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          <Button disabled={busy} onClick={() => void sync()}>
            Sync {bike.name}’s rides
          </Button>
          {busy && <Button onClick={() => running.current?.abort()}>Stop</Button>}
          {sum && <progress className="h-2 flex-1 accent-petrol" aria-label="Syncing" />}
        </div>
      )}
      <p role="status" className="text-sm text-steel empty:hidden">
        {said}
      </p>
      {fault !== undefined && (
        <p role="alert" className="text-sm font-medium text-rust">
          {fault}
        </p>
      )}
    </section>
  )
}
