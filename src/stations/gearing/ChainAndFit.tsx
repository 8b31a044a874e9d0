import { Link } from 'react-router'
import { chainLinks, fitQuestions } from '../../core/gearing/chain-fit.ts'
import { GEARING_BOUNDS } from '../../core/log/kinds/gearing.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { STATIONS } from '../../words/places.ts'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { sayFit, saySet, ONE_RING_STEPS, ONE_RING_TOOLS } from '../../words/gearing-words.ts'
import type { GearingInHand, OnBench } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/chain-and-fit.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

function Links({ gearing, one }: { readonly gearing: GearingInHand; readonly one: OnBench }) {
  const { rider, hasDerailleur, links } = gearing
  if (rider.chainstayMm === undefined) return <p className="text-steel">{words.measureTheChainstayFirst}</p>
  const [ring, cog] = [Math.max(...one.set.rings), Math.max(...one.set.cogs)]
  const counted = chainLinks(rider.chainstayMm, one.set, hasDerailleur)
  if (!counted) return <p>{words.noChainGoesRound}</p>
  const { byFormula, byLaying } = counted
  const more = links === undefined ? 0 : byFormula.links - links
  return (
    <div className="text-[0.98rem] leading-snug">
      <p>
        <strong>{words.linksByTheFormula(byFormula.links)}</strong>
        {words.goRoundRingAndCog(
          sayDecimal(byFormula.exact, 1),
          ring,
          cog,
          hasDerailleur ? words.n2More : '',
        )}
        {links !== undefined &&
          (more === 0
            ? words.asManyAsNow
            : words.thanNow(Math.abs(more), more > 0 ? words.more : words.fewer, links))}
      </p>
      <p className="mt-1">
        <strong>{words.byLayingItRound(byLaying.links)}</strong>
        {hasDerailleur
          ? words.chainOverRingAndCog(ring, cog, byLaying.meetAt)
          : words.chainOverRingAndCogThe(byLaying.meetAt)}
      </p>
      {byFormula.links !== byLaying.links && <p className="mt-1 text-steel">{words.theTwoDifferByAPair}</p>}
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
    <Section id="length" title={words.chainAndFit(one.isOwn ? words.asItIs : saySet(one.set))}>
      <div className="flex flex-col gap-4">
        <div className="max-w-72">
          <Stepper
            label={words.chainstayMm}
            hint={rider.isStayGuessed ? words.guessedFromTheChain : words.fromAxleToAxle}
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
                  {words.enterWhatItsDerailleur}
                </Link>
              </p>
            )}
            <p className="text-[0.95rem] leading-snug">{words.thenLimitScrewsAtBoth}</p>
          </>
        )}
        <CautionNote>{words.aChainThatIsToo}</CautionNote>
      </div>
    </Section>
  )
}

/** One ring in place of two: what is lost, and the order of the work. */
export function OneRing({ own, one }: { readonly own: OnBench; readonly one: OnBench }) {
  if (own.set.rings.length < 2 || one.set.rings.length !== 1) return null
  const lost = (a: number, b: number): string => `${Math.round(100 * Math.max(0, 1 - a / b))}\u00a0%`
  return (
    <Section title={words.oneRingInPlace}>
      <p className="text-[0.98rem]">
        {words.lostAtTheEasy(
          lost(own.bench.lowest.ratio, one.bench.lowest.ratio),
          lost(one.bench.highest.ratio, own.bench.highest.ratio),
          Math.round(one.bench.widestStepPercent),
          Math.round(own.bench.widestStepPercent),
        )}
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
