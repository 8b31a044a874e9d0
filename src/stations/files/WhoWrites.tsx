import { useState } from 'react'
import { BOUNDS } from '../../core/log/bounds.ts'
import { useWho } from '../../session/use-who.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useOnce } from '../../ui/use-once.ts'
import { words } from '../../words/stations/files/who-writes.ts'

/** The name of whoever works on this device. */
export function WhoWrites() {
  const [who, give] = useWho()
  const [typed, setTyped] = useState<string>()
  const [said, setSaid] = useState('')
  const [save, busy] = useOnce(async () => {
    const name = (typed ?? who ?? '').trim()
    await give(name)
    setTyped(undefined)
    setSaid(name === '' ? words.whatIsWrittenHere : words.whatIsWrittenHereCarries(name))
  })
  return (
    <Section title={words.whoWorksHere} note={words.whereSeveralPeopleShare}>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          save()
        }}
      >
        <TextField
          label={words.yourName}
          className="w-56"
          maxLength={BOUNDS.whoLetters}
          value={typed ?? who ?? ''}
          onChange={({ target }) => setTyped(target.value)}
        />
        <Button type="submit" disabled={busy}>
          {words.saveTheName}
        </Button>
      </form>
      <p role="status" className="mt-2 text-sm text-steel empty:hidden">
        {said}
      </p>
    </Section>
  )
}
