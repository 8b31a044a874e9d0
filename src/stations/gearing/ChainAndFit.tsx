import { Link } from 'react-router'
import { chainLinks, fitQuestions } from '../../core/gearing/chain-fit.ts'
import { GEARING_BOUNDS } from '../../core/log/kinds/gearing.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { STATIONS } from '../../words/places.ts'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { sayFit, saySet, ONE_RING_STEPS, ONE_RING_TOOLS } from '../../words/gearing-words.ts'
import type { GearingInHand, OnBench } from './use-gearing.ts'

function Links({ gearing, one }: { readonly gearing: GearingInHand; readonly one: OnBench }) {
  const { rider, hasDerailleur, links } = gearing
  if (rider.chainstayMm === undefined) return <p className="text-steel">Measure the chainstay first.</p>
  const [ring, cog] = [Math.max(...one.set.rings), Math.max(...one.set.cogs)]
  const counted = chainLinks(rider.chainstayMm, one.set, hasDerailleur)
  if (!counted) return <p>No chain goes round these with this chainstay. Check the figures.</p>
  const { byFormula, byLaying } = counted
  const more = links === undefined ? 0 : byFormula.links - links
  return (
    <div className="text-[0.98rem] leading-snug">
      <p>
        <strong>{byFormula.links} links by the formula</strong>
        {`: ${byFormula.exact.toFixed(1)} go round ring ${ring} and cog ${cog}${hasDerailleur ? ', 2 more' : ''}, up to an even number.`}
        {links !== undefined &&
          (more === 0
            ? ' As many as now.'
            : ` ${Math.abs(more)} ${more > 0 ? 'more' : 'fewer'} than now (${links}).`)}
      </p>
      <p className="mt-1">
        <strong>{byLaying.links} by laying it round</strong>
        {hasDerailleur
          ? `: chain over ring ${ring} and cog ${cog}, past the derailleur. The ends meet at ${byLaying.meetAt}; add one pair of links.`
          : `: chain over ring and cog, the wheel in the middle of its slot. The ends meet at ${byLaying.meetAt}.`}
      </p>
      {byFormula.links !== byLaying.links && (
        <p className="mt-1 text-steel">The two differ by a pair: take the longer, and check the slack.</p>
      )}
    </div>
  )
}

/** How long the chain must be, by both ways; and whether cage, cog and shifter go with it. */
export function ChainAndFit({ gearing, one }: { readonly gearing: GearingInHand; readonly one: OnBench }) {
  const { rider, move, known, speeds, hasDerailleur } = gearing
  const questions = fitQuestions(one.set, {
    ...(known.capacityTeeth !== undefined && { capacityTeeth: known.capacityTeeth }),
    ...(known.largestCog !== undefined && { largestCog: known.largestCog }),
    speeds,
  })
  return (
    <Section id="length" title={`Chain and fit: ${one.isOwn ? 'as it is' : saySet(one.set)}`}>
      <div className="flex flex-col gap-4">
        <div className="max-w-72">
          <Stepper
            label="Chainstay, mm"
            hint={
              rider.isStayGuessed
                ? 'guessed from the chain that is on; measure from axle to axle'
                : 'from axle to axle'
            }
            value={rider.chainstayMm === undefined ? NaN : Math.round(rider.chainstayMm)}
            step={1}
            min={GEARING_BOUNDS.chainstayMm[0]}
            max={GEARING_BOUNDS.chainstayMm[1]}
            digits={0}
            onStep={(value) =>
              Number.isFinite(value) &&
              value >= GEARING_BOUNDS.chainstayMm[0] &&
              value <= GEARING_BOUNDS.chainstayMm[1] &&
              move({ chainstayMm: value })
            }
          />
        </div>
        <Links gearing={gearing} one={one} />
        {hasDerailleur && (
          <>
            <ul className="border-t border-hairline/70">
              {questions.map((question) => (
                <li
                  key={`${question.what} ${question.has}`}
                  className={`border-b border-hairline/70 py-1.5 text-[0.95rem] ${question.says === 'does-not' ? 'font-semibold text-rust' : ''}`}
                >
                  {sayFit(question)}
                </li>
              ))}
            </ul>
            {questions.some(({ says }) => says === 'ask') && (
              <p className="text-[0.95rem]">
                <Link to={STATIONS.shelf.path} className="underline underline-offset-4">
                  Enter what its derailleur takes, on the shelf
                </Link>
              </p>
            )}
            <p className="text-[0.95rem] leading-snug">
              Then: limit screws at both ends, the gap of the upper pulley to the largest cog, cable tension.
              With one ring: a clutch or a ring with tall teeth, and a chain line that points to the middle of
              the cassette.
            </p>
          </>
        )}
        <CautionNote>
          A chain that is too short tears off the derailleur. Shift by hand to the largest ring and cog before
          you ride. The makers’ limits come first.
        </CautionNote>
      </div>
    </Section>
  )
}

/** One ring in place of two: what is lost, and the order of the work. */
export function OneRing({ own, one }: { readonly own: OnBench; readonly one: OnBench }) {
  if (own.set.rings.length < 2 || one.set.rings.length !== 1) return null
  const lost = (a: number, b: number): string => `${Math.round(100 * Math.max(0, 1 - a / b))}\u00a0%`
  return (
    <Section title="One ring in place of two">
      <p className="text-[0.98rem]">
        Lost at the easy end: {lost(own.bench.lowest.ratio, one.bench.lowest.ratio)}; at the hard end:{' '}
        {lost(one.bench.highest.ratio, own.bench.highest.ratio)}. Widest step{' '}
        {Math.round(one.bench.widestStepPercent)}
        {'\u00a0'}% in place of {Math.round(own.bench.widestStepPercent)}
        {'\u00a0'}%.
      </p>
      <ol className="mt-2 list-decimal pl-5 leading-snug">
        {ONE_RING_STEPS.map((step) => (
          <li key={step} className="mb-1">
            {step}
          </li>
        ))}
      </ol>
      <p className="mt-2 text-[0.95rem] text-steel">{ONE_RING_TOOLS}</p>
    </Section>
  )
}
