import type { GaugeAnswer } from '../../core/log/kinds/lesson.ts'
import { posterior } from '../../core/measure/posterior.ts'
import type { Reading } from '../../core/measure/reading.ts'
import type { GaugeSetup } from '../../core/school/gauge-lesson.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { sayFigure, sayPercent } from '../../words/numbers.ts'
import { SLIP_WORDS } from '../../words/school-words.ts'
import { words } from '../../words/stations/school/gauge-truth.ts'

interface Props {
  readonly setup: GaugeSetup
  readonly done: { readonly answer: GaugeAnswer; readonly reading: Reading }
  /** What the instrument is called, for what it adds by itself. */
  readonly noise: string
  readonly onNext: () => void
  readonly onLeave: () => void
}

const [WIDE, HIGH] = [520, 110]

/** What the app makes of this one reading, with the truth and the reading marked. */
function Belief({
  reading,
  truth,
  read,
}: {
  readonly reading: Reading
  readonly truth: number
  readonly read: number | undefined
}) {
  const { curve, mean, p05, p95 } = posterior([reading], [0.5, 0.75, 1])
  const top = Math.max(...curve.density)
  const x = (e: number): number => 8 + ((WIDE - 16) * (e + 0.05)) / 1.65
  const path = curve.e
    .flatMap((e, i) =>
      i % 6 === 0 ? `${x(e).toFixed(1)} ${(84 - (62 * (curve.density[i] ?? 0)) / top).toFixed(1)}` : [],
    )
    .join('L')
  return (
    <figure className="m-0 max-w-[36rem]">
      <figcaption className="text-[0.95rem]">
        {words.fromThisOneReading(
          sayPercent(mean),
          sayFigure(p05),
          sayFigure(p95),
          truth >= p05 && truth <= p95 ? words.theTruthLiesWithin : words.theTruthLiesOutside,
        )}
      </figcaption>
      <div>
        <svg viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden="true" className="mt-1 w-full">
          <path
            d={`M8 84L${path}L${WIDE - 8} 84Z`}
            className="fill-petrol/25 stroke-petrol"
            strokeWidth={1.5}
          />
          <path d={`M8 84H${WIDE - 8}`} className="stroke-ink" />
          {[0, 0.5, 1, 1.5].map((mark) => (
            <text
              key={mark}
              x={x(mark)}
              y={102}
              textAnchor="middle"
              className="fill-steel font-mono text-[12px]"
            >
              {mark}
            </text>
          ))}
          <path d={`M${x(truth)} 16V84`} className="stroke-ink" strokeWidth={2.5} />
          <text x={x(truth)} y={12} textAnchor="middle" className="fill-ink text-[12px] font-semibold">
            {words.true}
          </text>
          {read !== undefined && (
            <path d={`M${x(read)} 30V84`} className="stroke-rust" strokeWidth={2} strokeDasharray="4 3" />
          )}
        </svg>
      </div>
    </figure>
  )
}

/** The truth, what was read, what each slip did, and what the app makes of the reading. */
export function GaugeTruth({ setup, done: { answer, reading }, noise, onNext, onLeave }: Props) {
  const { truth, right, read, slips } = answer
  const off = read === undefined ? undefined : read - right
  return (
    <div role="status" className="flex flex-col gap-4 border-t border-hairline pt-4">
      <p className="text-[1.3rem] leading-snug font-semibold">
        {words.itIsLong(sayPercent(truth))}{' '}
        {off !== undefined &&
          (Math.abs(off) < 0.03
            ? words.youReadRight(sayPercent(read ?? 0))
            : words.youReadToo(
                sayPercent(read ?? 0),
                sayFigure(Math.abs(off)),
                off > 0 ? words.much : words.little,
              ))}
      </p>
      {slips.map((slip) => (
        <p key={slip} className="border-l-4 border-ochre pl-3">
          {SLIP_WORDS[slip]}
        </p>
      ))}
      {Math.abs(setup.toolBias) >= 0.03 && (
        <p className="text-steel">{words.thisAddsByItself(noise, sayFigure(setup.toolBias))}</p>
      )}
      <Belief reading={reading} truth={truth} read={read} />
      <div className="flex flex-wrap gap-3">
        <Button look="next" onClick={onNext}>
          {words.anotherOne}
        </Button>
        <Button onClick={onLeave}>{words.enoughForNow}</Button>
      </div>
    </div>
  )
}
