import { useState } from 'react'
import { gearSetFault } from '../../core/gearing/bench.ts'
import { cassettesWith, cogRange } from '../../core/gearing/cassettes.ts'
import type { WhatIf } from '../../core/log/kinds/gearing.ts'
import { GEARING_BOUNDS } from '../../core/log/kinds/gearing.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayGearSetFault, saySet } from '../../words/gearing-words.ts'
import { sayCount } from '../../words/numbers.ts'
import type { GearingInHand } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/what-if-form.ts'

const countsOf = (text: string): number[] =>
  (text.match(/\d+(?:\.\d+)?/g) ?? []).map(Number).sort((a, b) => a - b)

/** Cassettes of a range as they are made, those with as many cogs as the bike has first. */
function offersFor(text: string, speeds: number): readonly (readonly number[])[] {
  const range = cogRange(text)
  return range
    ? cassettesWith(range)
        .map(({ teeth }) => teeth)
        .sort((a, b) => Math.abs(a.length - speeds) - Math.abs(b.length - speeds))
    : []
}

/** Rings and cogs that might go on, typed or by one tap. */
export function WhatIfForm({ gearing }: { readonly gearing: GearingInHand }) {
  const { own, whatIfs, setWhatIfs, speeds } = gearing
  const [rings, setRings] = useState(() => [...own.rings].reverse().join(' '))
  const [cogs, setCogs] = useState(() => own.cogs.join(' '))
  const [fault, setFault] = useState<string>()
  const offers = offersFor(cogs, speeds)
  const add = (set: { readonly rings: readonly number[]; readonly cogs: readonly number[] }) => {
    const wrong = gearSetFault(set)
    if (wrong) return setFault(sayGearSetFault(wrong))
    if (whatIfs.length >= GEARING_BOUNDS.whatIfs) return setFault(words.twelveWhatIfsAre)
    const name = saySet(set)
    if (whatIfs.some((one) => one.name === name && one.cogs.join() === set.cogs.join()))
      return setFault(words.isOnTheBench(name))
    setFault(undefined)
    const taken = whatIfs.filter((one) => one.name.startsWith(name)).length
    const made: WhatIf = { name: taken > 0 ? `${name} (${taken + 1})` : name, ...set }
    setWhatIfs([...whatIfs, made], words.isOnTheBench2(made.name))
  }
  const [largest] = [...own.rings].reverse()
  const quick = [
    ...(own.rings.length === 1 && largest !== undefined
      ? [
          { label: words.ring(largest + 2), set: { ...own, rings: [largest + 2] } },
          { label: words.ring(largest - 2), set: { ...own, rings: [largest - 2] } },
        ]
      : []),
    ...(own.rings.length > 1
      ? [
          {
            label: words.oneRingInPlace,
            set: {
              ...own,
              rings: [Math.round((Math.max(...own.rings) + Math.min(...own.rings)) / 2 / 2) * 2],
            },
          },
        ]
      : []),
  ].filter(({ set }) => gearSetFault(set) === undefined)
  return (
    <Section id="what-if" title={words.whatIf} note={words.ringsAndCogsAs}>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          if (cogRange(cogs)) return setFault(words.pickOneOfTheCassettes)
          add({ rings: countsOf(rings), cogs: countsOf(cogs) })
        }}
      >
        <TextField
          label={words.rings}
          value={rings}
          onChange={(event) => setRings(event.target.value)}
          className="w-36"
        />
        <TextField
          label={words.cogs}
          value={cogs}
          onChange={(event) => setCogs(event.target.value)}
          fault={fault}
          className="min-w-64 flex-1"
        />
        <Button look="firm" type="submit">
          {words.compare}
        </Button>
      </form>
      {offers.length > 0 && (
        <ul className="mt-2 flex flex-col border-t border-hairline">
          {offers.slice(0, 6).map((teeth) => (
            <li key={teeth.join(' ')}>
              <button
                type="button"
                onClick={() => setCogs(teeth.join(' '))}
                className="min-h-11 w-full border-b border-hairline text-left text-[0.95rem]"
              >
                {sayCount(teeth.length, 'cog')}: <span className="font-mono text-sm">{teeth.join(' ')}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {quick.length > 0 && (
        <div className="mt-3 flex flex-wrap gap-2">
          {quick.map(({ label, set }) => (
            <Button key={label} onClick={() => add(set)}>
              {label}
            </Button>
          ))}
        </div>
      )}
    </Section>
  )
}
