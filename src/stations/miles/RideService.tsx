import type { Units } from '../../core/units/units.ts'
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
import { words } from '../../words/stations/miles/ride-service.ts'

const NOTHING: SyncSum = { added: 0, addedKm: 0, known: 0, removed: 0, refused: 0, pages: 0 }

const sayTaken = (now: SyncSum, units: Units): string =>
  words.addedHereAlready(
    sayCount(now.added, 'ride'),
    now.added > 0 ? `, ${sayKm(now.addedKm, units)}` : '',
    now.known,
    now.removed > 0 ? words.deletedThereAndTaken(now.removed) : '',
    now.refused > 0 ? words.leftOutTheirDay(now.refused) : '',
  )

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
      setFault(error instanceof ServiceError ? error.message : words.signingInFailed)
    }
  }

  const sync = async () => {
    if (token === undefined) return
    const control = new AbortController()
    running.current = control
    setBusy(true)
    setFault(undefined)
    setSum(NOTHING)
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
        onWait: (ms, why) => setSaid(words.tryingAgainInS(why, Math.max(1, Math.round(ms / 1000)))),
      })
      setSaid(words.upToDate(sayTaken(held, units)))
    } catch (error) {
      if (error instanceof ServiceError && error.status === 401) {
        setToken(undefined)
        await kept.keep(tokenKey, undefined)
        setFault(words.pleaseSignInToTheService)
      } else if (control.signal.aborted) setSaid(words.stoppedTheNextSync(sayTaken(held, units)))
      else
        setFault(
          words.pressSyncAgainItGoes(
            error instanceof ServiceError ? error.message : words.theSyncBrokeOff,
            sayTaken(held, units),
          ),
        )
    } finally {
      setBusy(false)
      setSum(undefined)
    }
  }

  return (
    <section aria-labelledby="service" className="flex flex-col gap-3 border-t border-hairline pt-4">
      <h3 id="service" className="text-[0.95rem] font-semibold">
        {words.fromThe(RIDE_SERVICE)}
      </h3>
      {token === undefined ? (
        <>
          <p className="text-sm text-steel">{words.aMadeUpService}</p>
          <div className="grid grid-cols-2 gap-3">
            <TextField label={words.rider} value={rider} onChange={(event) => setRider(event.target.value)} />
            <TextField
              label={words.pin}
              type="password"
              inputMode="numeric"
              value={pin}
              onChange={(event) => setPin(event.target.value)}
            />
          </div>
          <Button className="self-start" onClick={() => void enter()}>
            {words.signIn}
          </Button>
        </>
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          <Button disabled={busy} onClick={() => void sync()}>
            {words.syncSRides(bike.name)}
          </Button>
          {busy && <Button onClick={() => running.current?.abort()}>{words.stop}</Button>}
          {sum && <progress className="h-2 flex-1 accent-petrol" aria-label={words.syncing} />}
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
