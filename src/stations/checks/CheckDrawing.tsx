import type { ReactNode } from 'react'
import { BikeOutline } from '../../ui/drawings/BikeOutline.tsx'
import type { CheckDrawing as Drawing } from '../../words/checks/item-talk.ts'
import { words } from '../../words/stations/checks/check-drawing.ts'

const LINE = { fill: 'none', strokeWidth: 3, strokeLinecap: 'round', strokeLinejoin: 'round' } as const

/** What each drawing shows, for those who do not see it. */
const SAYS: Readonly<Record<Drawing, string>> = {
  pad: words.twoPadsWithTheir,
  rotor: words.aRotorFromIts,
  'rim-pad': words.aRimBrakePad,
  tyre: words.twoTyresFromTheFront,
  release: words.aQuickReleaseLever,
  thumb: words.aThumbPressedInto,
  headset: words.aBikeTheFront,
  caliper: words.aRotorBetweenTwo,
  crank: words.bothCrankArmsPushed,
  lever: words.aBrakeLeverPulled,
  rim: words.aStraightEdgeAcross,
  bolts: words.aShortKeyOnABolt,
}

const Text = ({ x, y, children }: { readonly x: number; readonly y: number; readonly children: string }) => (
  <text x={x} y={y} className="fill-steel text-[13px]" textAnchor="middle">
    {children}
  </text>
)

const PICTURES: Readonly<Record<Drawing, ReactNode>> = {
  pad: (
    <>
      <path d="M150 20V170" className="stroke-steel" strokeWidth={8} />
      {[
        [118, 1],
        [182, -1],
      ].map(([x = 0, side = 1]) => (
        <g key={x}>
          <rect
            x={x - 8}
            y={56}
            width={16}
            height={84}
            className="fill-ochre/60 stroke-ink"
            strokeWidth={2}
          />
          <rect
            x={x - 8 - side * 14}
            y={48}
            width={14}
            height={100}
            className="fill-steel/60 stroke-ink"
            strokeWidth={2}
          />
        </g>
      ))}
      <path d="M96 30V46M126 30V46M96 36H126" className="stroke-rust" {...LINE} />
      <Text x={70} y={26}>
        {words.n3MmOrMore}
      </Text>
      <Text x={60} y={166}>
        {words.plateAndPad}
      </Text>
      <Text x={190} y={184}>
        {words.rotor}
      </Text>
    </>
  ),
  rotor: (
    <>
      <path
        d="M60 60H110L120 68H220L230 60H270V110H230L220 102H120L110 110H60Z"
        className="fill-steel/40 stroke-ink"
        strokeWidth={2.5}
      />
      <path d="M150 68l4 8l4 -8M176 68l4 8l4 -8" className="stroke-rust" {...LINE} />
      <path d="M170 68V28M170 142V102M162 36l8-8l8 8M162 134l8 8l8 -8" className="stroke-petrol" {...LINE} />
      <Text x={210} y={26}>
        {words.n155MmOrMore}
      </Text>
      <Text x={90} y={140}>
        {words.aNailCatchesScored}
      </Text>
    </>
  ),
  'rim-pad': (
    <>
      <path d="M70 60H240V96L70 122Z" className="fill-ink/70 stroke-ink" strokeWidth={2} />
      <path d="M70 96H240" className="stroke-jolt" strokeDasharray="6 5" strokeWidth={2.5} />
      <path d="M110 60V84M155 60V84M200 60V84" className="stroke-paper" strokeWidth={5} />
      <Text x={155} y={46}>
        {words.theWearLine}
      </Text>
      <Text x={155} y={150}>
        {words.lookFromBelowThere}
      </Text>
    </>
  ),
  tyre: (
    <>
      <path d="M40 150C20 60 60 30 85 30S150 60 130 150" className="stroke-ink" {...LINE} strokeWidth={7} />
      <path
        d="M190 150C170 80 186 46 206 42H264C284 46 300 80 280 150"
        className="stroke-rust"
        {...LINE}
        strokeWidth={7}
      />
      <path d="M206 28H264M206 22V34M264 22V34" className="stroke-rust" {...LINE} />
      <Text x={85} y={176}>
        {words.roundGood}
      </Text>
      <Text x={236} y={176}>
        {words.squareWorn}
      </Text>
      <Text x={236} y={18}>
        {words.theFlat}
      </Text>
    </>
  ),
  release: (
    <>
      <path d="M60 40L150 130L60 178M150 130H165" className="stroke-steel" {...LINE} strokeWidth={9} />
      <circle cx={150} cy={130} r={10} className="fill-paper stroke-ink" strokeWidth={3} />
      <path d="M158 124L240 74" className="stroke-ochre" {...LINE} strokeWidth={8} />
      <path d="M142 138L78 172" className="stroke-petrol" {...LINE} strokeWidth={8} />
      <path d="M232 92A70 70 0 0 1 120 178m14 2l-14-2l4-12" className="stroke-ink" {...LINE} />
      <Text x={246} y={62}>
        {words.hardFromHereOn}
      </Text>
      <Text x={130} y={196}>
        {words.shutAlongTheStay}
      </Text>
    </>
  ),
  thumb: (
    <>
      <path d="M40 120C90 90 120 118 150 118S210 90 262 120V150H40Z" className="fill-ink/60" />
      <path d="M60 164H240" className="stroke-steel" strokeWidth={12} />
      <path
        d="M138 112V44a12 12 0 0 1 24 0V112a12 12 0 0 1 -24 0"
        className="fill-paper stroke-ink"
        strokeWidth={2.5}
      />
      <path d="M190 48v34m-8-10l8 10l8-10" className="stroke-rust" {...LINE} />
      <Text x={150} y={192}>
        {words.itMustNotReach}
      </Text>
    </>
  ),
  headset: (
    <g transform="translate(-6 -4) scale(.8)">
      <BikeOutline />
      <circle cx={283} cy={76} r={17} className="fill-jolt/60 stroke-ink" strokeWidth={3} />
      <path
        d="M236 20h96m-12-9l12 9l-12 9M248 11l-12 9l12 9"
        className="stroke-rust"
        {...LINE}
        strokeWidth={4}
      />
      <path d="M314 58l16 14" className="stroke-petrol" {...LINE} strokeWidth={6} />
      <text x={150} y={236} className="fill-steel text-[16px]" textAnchor="middle">
        {words.frontBrakeHeldHand}
      </text>
    </g>
  ),
  caliper: (
    <>
      <path d="M150 16V174" className="stroke-steel" strokeWidth={9} />
      <rect x={112} y={60} width={28} height={72} className="fill-ochre/60 stroke-ink" strokeWidth={2} />
      <rect x={160} y={60} width={28} height={72} className="fill-ochre/60 stroke-ink" strokeWidth={2} />
      <path d="M96 44H204V150H96Z" className="stroke-ink" {...LINE} />
      <path d="M140 146l3 12M160 146l-3 12" className="stroke-petrol" {...LINE} />
      <Text x={150} y={194}>
        {words.theSameGapOnBoth}
      </Text>
    </>
  ),
  crank: (
    <>
      <circle cx={150} cy={96} r={22} className="stroke-steel" {...LINE} strokeWidth={6} />
      <path d="M150 96L96 150M150 96L204 42" className="stroke-ink" {...LINE} strokeWidth={10} />
      <path d="M52 150h30m-10-8l10 8l-10 8M248 42h-30m10-8l-10 8l10 8" className="stroke-rust" {...LINE} />
      <Text x={150} y={186}>
        {words.pushBothArmsSideways}
      </Text>
    </>
  ),
  lever: (
    <>
      <path d="M40 60H262" className="stroke-ink" {...LINE} strokeWidth={14} />
      <path d="M70 78C100 120 160 126 246 112" className="stroke-petrol" {...LINE} strokeWidth={7} />
      <path d="M70 78C110 150 160 168 240 164" className="stroke-steel" {...LINE} strokeDasharray="5 6" />
      <path d="M222 72V104m-6-8l6 8l6-8M216 80l6-8l6 8" className="stroke-rust" {...LINE} />
      <Text x={150} y={194}>
        {words.itStopsBeforeTheBar}
      </Text>
    </>
  ),
  rim: (
    <>
      <path d="M80 30C92 70 92 100 80 150H104V30Z" className="fill-steel/50 stroke-ink" strokeWidth={2.5} />
      <path
        d="M224 30C212 70 212 100 224 150H200V30Z"
        className="fill-steel/50 stroke-ink"
        strokeWidth={2.5}
      />
      <path d="M104 150H200" className="stroke-ink" {...LINE} />
      <path d="M72 22V158" className="stroke-petrol" strokeWidth={5} />
      <Text x={150} y={92}>
        {words.hollowWorn}
      </Text>
      <Text x={86} y={180}>
        {words.straightEdge}
      </Text>
    </>
  ),
  bolts: (
    <>
      <circle cx={120} cy={110} r={30} className="fill-steel/40 stroke-ink" strokeWidth={3} />
      <path d="M120 92l15 9v18l-15 9l-15-9v-18Z" className="fill-ink" />
      <path d="M120 110H222V70" className="stroke-petrol" {...LINE} strokeWidth={8} />
      <path d="M240 96a50 50 0 0 1 -34 54m14 2l-14-2l6-13" className="stroke-rust" {...LINE} />
      <Text x={150} y={184}>
        {words.shortKeyTwoFingers}
      </Text>
    </>
  ),
}

/** How something is tested, drawn. */
export const CheckDrawing = ({ drawing }: { readonly drawing: Drawing }) => (
  <svg viewBox="0 0 310 200" role="img" aria-label={SAYS[drawing]} className="w-full max-w-[19rem]">
    {PICTURES[drawing]}
  </svg>
)
