import type { AnyFinding } from '../../../core/faults/finder.ts'
import { ToothRackDrawing } from '../../../ui/drawings/ToothRackDrawing.tsx'
import { BarrelDrawing } from './BarrelDrawing.tsx'
import { BikeSpot, type Spot } from './BikeSpot.tsx'
import { CageSide } from './CageSide.tsx'
import { RearView } from './RearView.tsx'
import { RingFront } from './RingFront.tsx'
import { words } from '../../../words/stations/faults/drawings/test-drawing.ts'

interface Props {
  readonly finding: AnyFinding
  /** The bike's cogs, smallest first. */
  readonly cogs: readonly number[]
}

/** Teeth as new (dashed) and hooked: what to look for. */
function HookedTeeth({ teeth, on }: { readonly teeth: number; readonly on: 'cog' | 'ring' }) {
  return (
    <figure className="max-w-[17rem]">
      <ToothRackDrawing teeth={teeth} role={on} excessMm={1.1} word="swap" count={5} className="w-full" />
      <figcaption className="text-sm text-steel">{words.hookedTeethNewOnes}</figcaption>
    </figure>
  )
}

/** Where on the bike a test is made, and which way a hand moves. */
const SPOTS: Readonly<
  Partial<Record<AnyFinding, { readonly spot: Spot; readonly push?: 'down' | 'sideways' | 'turn' | 'rock' }>>
> = {
  rust: { spot: 'chain' },
  'front-cage': { spot: 'pedals', push: 'down' },
  gauge: { spot: 'chain' },
  belongs: { spot: 'derailleur' },
  charge: { spot: 'battery' },
  battery: { spot: 'battery' },
  lockring: { spot: 'hub', push: 'sideways' },
  'freehub-hold': { spot: 'pedals', push: 'turn' },
  'freehub-feel': { spot: 'hub', push: 'turn' },
  cable: { spot: 'cable', push: 'sideways' },
  length: { spot: 'derailleur' },
  'quiet-drop': { spot: 'chain' },
  climb: { spot: 'saddle', push: 'down' },
  'stand-coasting': { spot: 'saddle', push: 'down' },
  'bars-pulled': { spot: 'bars', push: 'rock' },
  'front-rocked': { spot: 'headset', push: 'rock' },
  'crank-pushed': { spot: 'crank', push: 'sideways' },
  'one-foot': { spot: 'pedals', push: 'down' },
  'bolts-felt': { spot: 'ring', push: 'turn' },
  'wheel-spun': { spot: 'rear', push: 'turn' },
  'spokes-squeezed': { spot: 'front', push: 'sideways' },
  'cassette-wiggled': { spot: 'hub', push: 'sideways' },
  'chain-drop': { spot: 'chain' },
  'post-greased': { spot: 'post', push: 'turn' },
  'pedals-swapped': { spot: 'pedals', push: 'turn' },
}

/** What a test looks like: the thing itself where that helps, else the place on the bike. */
export function TestDrawing({ finding, cogs }: Props) {
  switch (finding) {
    case 'pulley-line':
      return (
        <div className="flex flex-wrap gap-4">
          <RearView cogs={cogs} cage="under" label={words.fromBehindThePulleys} />
          <RearView cogs={cogs} cage="slanted" label={words.fromBehindTheCage} />
        </div>
      )
    case 'hanger':
      return <RearView cogs={cogs} cage="slanted" label={words.fromBehindABent} />
    case 'limits':
      return <RearView cogs={cogs} cage="beside" label={words.fromBehindThePulley} />
    case 'barrel':
      return <BarrelDrawing label={words.theBarrelWhereTheCable} />
    case 'cage':
      return <CageSide shows="tab" label={words.fromTheRightTheTab} />
    case 'links':
      return <CageSide shows="stiff-link" label={words.fromTheRightALink} />
    case 'pulleys':
      return <CageSide shows="pulleys" label={words.fromTheRightWiggle} />
    case 'b-gap':
      return <CageSide shows="gap" label={words.fromTheRightTheGap} />
    case 'ring-lift':
      return <RingFront label={words.theFrontOfTheRing} />
    case 'hooked-teeth':
    case 'laid-chain':
    case 'teeth':
      return <HookedTeeth teeth={cogs[Math.floor(cogs.length / 2)] ?? 15} on="cog" />
    case 'ring-teeth':
      return <HookedTeeth teeth={44} on="ring" />
    default: {
      const at = SPOTS[finding]
      return at ? <BikeSpot {...at} label={words.whereOnTheBike} /> : null
    }
  }
}
