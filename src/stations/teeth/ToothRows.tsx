import clsx from 'clsx'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { ToothRackDrawing } from '../../ui/drawings/ToothRackDrawing.tsx'
import { WearMark } from '../../ui/glyphs/ToothGlyph.tsx'
import { sayChance, sayFigure, sayList } from '../../words/numbers.ts'
import { nameOf } from './say-teeth.ts'
import { words } from '../../words/stations/teeth/tooth-rows.ts'

const TEETH_DRAWN = 6

/** What has been found out about a sprocket, and how. */
function sayFoundBy({ sprocket, tests, pictures, outlook }: ToothState): string {
  const by = [
    ...(outlook ? [words.road] : []),
    ...(sprocket.look ? [words.eye] : []),
    ...(pictures.length > 0 ? [words.picture] : []),
    ...(tests.some((test) => test.by === 'tool') ? [words.tool] : []),
    ...(tests.some((test) => test.by === 'ride') ? [words.ride] : []),
  ]
  return by.length > 0 ? words.by(sayList(by)) : ''
}

/** A share as a whole number of per cent. */
const sayShare = (share: number): string =>
  share > 0.995 ? words.allTheWork : share < 0.005 ? words.hardlyUsed : words.ofWork(Math.round(100 * share))

interface RowProps {
  readonly state: ToothState
  readonly isChosen: boolean
  readonly onChoose: () => void
}

function ToothRow({ state, isChosen, onChoose }: RowProps) {
  const { sprocket, word, outlook, excessMm, risk, share } = state
  const { role, teeth } = sprocket
  const name = role === 'cog' ? String(teeth) : nameOf(sprocket)
  const { p10, p90 } = outlook?.after ?? { p10: 0, p90: 0 }
  return (
    <li className={clsx('border-b border-hairline', isChosen && 'bg-petrol/7')}>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        className="grid min-h-16 w-full cursor-pointer grid-cols-[5.6rem_minmax(0,1fr)_5.6rem_6.2rem_9rem] items-center gap-x-3 py-2 text-left max-sm:grid-cols-[4.6rem_minmax(0,1fr)_auto] max-sm:gap-y-0.5"
      >
        <span>
          <span className={clsx('block font-semibold', role === 'cog' ? 'text-[1.3rem]' : 'text-base')}>
            {name}
          </span>
          {share !== undefined && <span className="block text-sm text-steel">{sayShare(share)}</span>}
        </span>
        {role === 'cog' || role === 'ring' ? (
          <ToothRackDrawing
            teeth={teeth}
            role={role}
            excessMm={excessMm}
            word={word}
            count={TEETH_DRAWN}
            className="h-9 w-full max-w-60"
          />
        ) : (
          <span />
        )}
        <WearMark word={word} className="gap-1 text-[0.95rem]" />
        <span className="leading-tight max-sm:col-span-3 max-sm:col-start-2 max-sm:text-sm">
          {outlook ? (
            <>
              <span className="block font-medium">{sayFigure(outlook.mean)}&nbsp;%</span>
              <span className="block text-sm text-steel">{words.to(sayFigure(p10), sayFigure(p90))}</span>
            </>
          ) : (
            <span className="text-sm text-steel">{sprocket.look ? '' : words.notChecked}</span>
          )}
        </span>
        <span className="leading-tight max-sm:col-span-3 max-sm:col-start-2 max-sm:text-sm">
          {risk !== undefined && <span className="block font-medium">{words.skips(sayChance(risk))}</span>}
          <span className="block text-sm text-steel">{sayFoundBy(state)}</span>
        </span>
      </button>
    </li>
  )
}

interface Props {
  readonly states: readonly ToothState[]
  readonly chosen: ToothState | undefined
  readonly onChoose: (state: ToothState) => void
}

/** Every cog, ring and pulley as a row: drawn, in a word, in figures, and how it is known. */
export function ToothRows({ states, chosen, onChoose }: Props) {
  return (
    <ul aria-label={words.cogsRingsAndPulleys} className="border-t-2 border-ink">
      {states.map((state) => (
        <ToothRow
          key={`${state.sprocket.part.entry.part} ${state.sprocket.teeth}`}
          state={state}
          isChosen={state === chosen}
          onChoose={() => onChoose(state)}
        />
      ))}
    </ul>
  )
}
