import type { AnyFinding } from '../../../core/faults/finder.ts'
import { ToothRackDrawing } from '../../../ui/drawings/ToothRackDrawing.tsx'
import { BarrelDrawing } from './BarrelDrawing.tsx'
import { BikeSpot, type Spot } from './BikeSpot.tsx'
import { CageSide } from './CageSide.tsx'
import { RearView } from './RearView.tsx'
import { RingFront } from './RingFront.tsx'

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
      <figcaption className="text-sm text-steel">Hooked teeth; new ones dashed.</figcaption>
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
          <RearView cogs={cogs} cage="under" label="From behind: the pulleys hang straight under the cog." />
          <RearView
            cogs={cogs}
            cage="slanted"
            label="From behind: the cage slants, the lower pulley is off."
          />
        </div>
      )
    case 'hanger':
      return <RearView cogs={cogs} cage="slanted" label="From behind: a bent hanger slants the cage." />
    case 'limits':
      return <RearView cogs={cogs} cage="beside" label="From behind: the pulley stands beside the cog." />
    case 'barrel':
      return (
        <BarrelDrawing label="The barrel where the cable enters the derailleur; a quarter turn outward gives more pull." />
      )
    case 'cage':
      return (
        <CageSide shows="tab" label="From the right: the tab between the pulleys, the chain inside it." />
      )
    case 'links':
      return (
        <CageSide
          shows="stiff-link"
          label="From the right: a link that stays bent as it leaves the lower pulley."
        />
      )
    case 'pulleys':
      return <CageSide shows="pulleys" label="From the right: wiggle each pulley sideways." />
    case 'b-gap':
      return (
        <CageSide shows="gap" label="From the right: the gap between the upper pulley and the largest cog." />
      )
    case 'ring-lift':
      return <RingFront label="The front of the ring: the chain pulled forward, daylight over the teeth." />
    case 'hooked-teeth':
    case 'laid-chain':
    case 'teeth':
      return <HookedTeeth teeth={cogs[Math.floor(cogs.length / 2)] ?? 15} on="cog" />
    case 'ring-teeth':
      return <HookedTeeth teeth={44} on="ring" />
    default: {
      const at = SPOTS[finding]
      return at ? <BikeSpot {...at} label="Where on the bike: marked." /> : null
    }
  }
}
