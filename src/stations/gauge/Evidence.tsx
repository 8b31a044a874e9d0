import { useMemo } from 'react'
import { densityOf, summariseDensity } from '../../core/measure/posterior.ts'
import { toolVoices } from '../../core/measure/disagreement.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { DashSample, DensityChart } from '../../ui/charts/DensityChart.tsx'
import { ChainLoopDrawing, type ReadPlace } from '../../ui/drawings/ChainLoop.tsx'
import { sayChance, sayCount, sayFigure } from '../../words/numbers.ts'
import { measuringGear } from './Guide.tsx'
import { sayResultShort } from '../../words/reading.ts'
import { useToolNames } from './use-tool-names.ts'
import { words } from '../../words/stations/gauge/evidence.ts'

/** What was read at each place of the last look: one figure where there is one, else the gauge's answers. */
function placesOf({ look }: ChainReport): ReadPlace[] {
  const byLink = new Map<number, typeof look>()
  for (const one of look)
    if (one.place !== undefined) byLink.set(one.place, [...(byLink.get(one.place) ?? []), one])
  return [...byLink].map(([link, taken]) => {
    const figures = taken.filter(({ reading }) => !('result' in reading))
    if (figures.length === 0)
      return {
        link,
        label: taken
          .slice(0, 2)
          .map(({ reading }) => sayResultShort(reading))
          .join(', '),
      }
    // The chain's own elongation there, by all that was read there.
    const { mean } = summariseDensity(densityOf(taken), [])
    return { link, label: sayFigure(mean) }
  })
}

function Chances({ answer }: { readonly answer: WearAnswer }) {
  return (
    <p className="mt-1 text-sm text-steel">
      {words.elongationInPast}{' '}
      {[0.5, 0.75, 1].map((mark, i) => {
        const p = answer.now.pAbove[mark === 1 ? '1.0' : String(mark)] ?? 0
        return (
          <span key={mark}>
            {i > 0 && '; '}
            {mark === 1 ? '1.0' : mark}: {sayChance(p)}
          </span>
        )
      })}
      .
    </p>
  )
}

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
  readonly answer: WearAnswer | undefined
}

/** The chain with the places read, and beside it what the readings say together and each tool alone. */
export function Evidence({ report, chain, answer }: Props) {
  const nameOf = useToolNames()
  const voices = useMemo(() => toolVoices(chain.look), [chain.look])
  const curves = useMemo(
    () => (voices.length > 1 ? voices.map(({ tool, density }) => ({ name: tool, density })) : []),
    [voices],
  )
  const { spec } = chain.part.entry
  const { ring, cog } = measuringGear(report)
  return (
    <div className="grid grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] items-center gap-10 max-lg:grid-cols-1 max-lg:gap-4">
      <ChainLoopDrawing
        links={spec.type === 'chain' ? spec.links : 114}
        ring={ring}
        cog={cog}
        places={placesOf(chain)}
      />
      <div className="min-w-0">
        {answer ? (
          <>
            <DensityChart
              density={answer.density}
              summary={answer.now}
              limit={report.limit}
              voices={curves}
            />
            <Chances answer={answer} />
            {curves.length > 1 && (
              <ul
                className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm text-steel"
                aria-label={words.whatEachAloneSays}
              >
                {voices.map(({ tool, mean, count }, i) => (
                  <li key={tool} className="flex items-center gap-2">
                    <DashSample index={i} />
                    {words.aloneAbout(nameOf(tool), sayFigure(mean), sayCount(count, 'reading'))}
                  </li>
                ))}
              </ul>
            )}
          </>
        ) : (
          <p className="text-steel">
            {chain.lastReadingAt === undefined ? words.whatYourReadingsSay : words.workingItOut}
          </p>
        )}
      </div>
    </div>
  )
}
