import { useState } from 'react'
import { LINK_FAULTS, type LinkCheckEntry, type LinkFault } from '../../../core/log/kinds/link-check.ts'
import type { KeptRun } from './kept-run.ts'
import type { WashJob } from '../../../core/session/wash-steps.ts'
import { chainOnBike } from '../chain-on-bike.ts'
import { chainLoop, fewestLinks } from '../../../core/gearing/chain-loop.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { namePart } from '../../../words/part-name.ts'
import { sayCount } from '../../../words/numbers.ts'
import { LINK_FAULT_ADVICE, LINK_FAULT_NAMES } from '../../../words/wash-words.ts'
import { words } from '../../../words/stations/wash/run/link-walk.ts'

/** Where the link in hand lies, pins behind the ring's lower edge. */
const HAND_AT = 4

type Found = LinkCheckEntry['found']

/** The chain as a loop on its ring and cog; the link in hand, and what was found, marked. */
function Loop({
  links,
  ring,
  cog,
  at,
  found,
}: {
  readonly links: number
  readonly ring: number
  readonly cog: number
  readonly at: number
  readonly found: Found
}) {
  const loop = chainLoop(Math.max(links, fewestLinks(ring, cog)), ring, cog)
  // The chain runs as the crank turns: the link in hand always lies at the same place, on the lower run.
  const points = Array.from({ length: links }, (_, i) => loop.at((i + 1 - at + links + HAND_AT) % links))
  const xs = points.map(({ x }) => x)
  const ys = points.map(({ y }) => y)
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  return (
    <svg
      viewBox={`${left - 20} ${-high - 20} ${right - left + 40} ${high - low + 40}`}
      role="img"
      aria-label={words.linkOf(
        at,
        links,
        found.length === 0 ? words.nothingFoundSoFar : sayCount(found.length, 'fault'),
      )}
      className="w-full max-w-3xl"
    >
      {points.map(({ x, y }, i) => {
        const link = i + 1
        const isBad = found.some((one) => one.link === link)
        return (
          <circle
            key={link}
            cx={x}
            cy={-y}
            r={link === at ? 9 : isBad ? 7 : 3.4}
            className={
              isBad ? 'fill-rust' : link === at ? 'fill-ink' : link === 1 ? 'fill-ochre' : 'fill-petrol/60'
            }
          />
        )
      })}
    </svg>
  )
}

interface Props {
  readonly report: BikeReport
  /** The wash of that bike. */
  readonly job: WashJob
  readonly kept: KeptRun
  readonly onChange: (kept: KeptRun) => void
}

/** Goes through a clean chain link by link: on with the crank, a tap where something is wrong. What is marked is kept with the wash. */
export function LinkWalk({ report, job, kept, onChange }: Props) {
  const { links: marked = {} } = kept
  const { garage, record, now } = useOpenLog()
  const [chain, setChain] = useState(job.fits)
  const [at, setAt] = useState(1)
  const found: Found = marked[chain] ?? []
  const { links, ring, cog } = chainOnBike(garage, report, chain)
  const go = (by: number): void => setAt((before) => ((before - 1 + by + links) % links) + 1)
  const mark = (fault: LinkFault): void =>
    onChange({
      ...kept,
      links: {
        ...marked,
        [chain]: found.some((one) => one.link === at && one.fault === fault)
          ? found.filter((one) => one.link !== at || one.fault !== fault)
          : [...found, { link: at, fault }].sort((a, b) => a.link - b.link),
      },
    })
  const save = useInTurn(async () => {
    const drafts = [{ kind: 'link-check' as const, at: now, chain, found }]
    if (
      await record(
        drafts,
        found.length === 0 ? words.allLinksSound : words.noted(sayCount(found.length, 'fault')),
      )
    ) {
      const { [chain]: _saved, ...others } = marked
      onChange({ ...kept, links: others })
      setAt(1)
    }
  })
  return (
    <div className="flex flex-col gap-4" role="group" aria-label={words.linkByLink}>
      {job.chains.length > 1 && (
        <SelectField
          label={words.whichChain}
          className="max-w-60"
          value={chain}
          options={Object.fromEntries(job.chains.map(({ id }) => [id, namePart(garage, id)]))}
          onPick={(id) => {
            setChain(id)
            setAt(1)
          }}
        />
      )}
      <Loop links={links} ring={ring} cog={cog} at={at} found={found} />
      <div className="flex flex-wrap items-center gap-3">
        <Button className="min-h-12" onClick={() => go(-1)}>
          {words.oneBack}
        </Button>
        <span aria-live="polite" className="min-w-40 text-center font-mono text-[1.3rem]">
          {words.linkOf2(at, links)}
        </span>
        <Button className="min-h-12" onClick={() => go(1)}>
          {words.oneOn}
        </Button>
        <Button className="min-h-12" onClick={() => go(Math.round(ring / 2))}>
          {words.halfACrankTurn}
        </Button>
      </div>
      <div className="flex flex-wrap gap-2">
        {LINK_FAULTS.map((fault) => (
          <Button
            key={fault}
            className="min-h-12"
            aria-pressed={found.some((one) => one.link === at && one.fault === fault)}
            onClick={() => mark(fault)}
          >
            {LINK_FAULT_NAMES[fault]}
          </Button>
        ))}
      </div>
      {found.length > 0 && (
        <ul className="text-[0.98rem]">
          {found.map(({ link, fault }) => (
            <li key={`${link} ${fault}`} className="py-1">
              <strong>{words.link(link, LINK_FAULT_NAMES[fault])}</strong> {LINK_FAULT_ADVICE[fault]}
            </li>
          ))}
        </ul>
      )}
      <Button look="firm" className="self-start" onClick={save}>
        {found.length === 0 ? words.allLinksAreSound : words.saveWhatWasFound}
      </Button>
    </div>
  )
}
