import { useState, type PointerEvent } from 'react'
import type { WearWord } from '../../core/log/entry.ts'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { sprocketGeometry } from '../../core/teeth/geometry.ts'
import { toothWord } from '../../core/teeth/tooth-word.ts'
import { ToothRackDrawing } from '../../ui/drawings/ToothRackDrawing.tsx'
import { WearMark } from '../../ui/glyphs/ToothGlyph.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { WORD_NAMES } from '../../words/names.ts'
import { words } from '../../words/stations/teeth/match-by-eye.ts'

/** The wear of a tooth that is matched, %: at most, and a step of the buttons. */
const MOST = 1.4
const STEP = 0.1
const TEETH_DRAWN = 3

interface Props {
  readonly state: ToothState
  readonly onMatched: (word: WearWord) => void
}

const clamp = (worn: number): number => Math.min(MOST, Math.max(0, worn))

/** The sprocket's own teeth, dragged until they look like those on the bike. The word follows. */
export function MatchByEye({ state, onMatched }: Props) {
  const { sprocket, outlook, mmPerPercent } = state
  const role = sprocket.role === 'ring' ? 'ring' : 'cog'
  const expected = outlook?.mean ?? 0.2
  const [worn, setWorn] = useState(clamp(expected))
  const word = toothWord(worn)
  // Dragging the tip by a millimetre of the drawing wears its flank by as much.
  const drag = (event: PointerEvent<HTMLDivElement>): void => {
    if (event.buttons === 0) return
    const { width } = event.currentTarget.getBoundingClientRect()
    const teethWide = role === 'cog' ? TEETH_DRAWN + 1 : TEETH_DRAWN
    const drawnMm = teethWide * Math.PI * (sprocketGeometry(sprocket.teeth).pitchDiameterMm / sprocket.teeth)
    const movedMm = (event.movementX / width) * drawnMm * (role === 'cog' ? 1 : -1)
    setWorn((now) => clamp(now + movedMm / mmPerPercent))
  }
  return (
    <div>
      <p className="text-sm text-steel">
        {words.goAllTheWay(role === 'cog' ? words.lookAtTheTrailing : words.lookAtTheLeading)}
        {role === 'ring' && words.thenMatchTheTeeth}
      </p>
      <div
        className="mt-3 cursor-ew-resize touch-pan-y select-none"
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
      >
        <ToothRackDrawing
          teeth={sprocket.teeth}
          role={role}
          excessMm={worn * mmPerPercent}
          word={word}
          count={TEETH_DRAWN}
          withAid={role === 'cog'}
          className="w-full"
        />
      </div>
      <p className="mt-1 text-sm text-steel">
        {words.dashedANewTooth(role === 'cog' ? words.paleAtTheEnd : words.passOverTeethThatAre)}
      </p>
      <label className="mt-2 grid gap-1 text-sm font-medium">
        {words.howWornItLooks}
        <input
          type="range"
          min={0}
          max={MOST}
          step={0.02}
          value={worn}
          onChange={(event) => setWorn(clamp(Number(event.target.value)))}
          aria-valuetext={WORD_NAMES[word]}
          className="h-8 w-full accent-petrol"
        />
      </label>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <Button onClick={() => setWorn(clamp(worn - STEP))}>{words.lessWorn}</Button>
        <Button onClick={() => setWorn(clamp(worn + STEP))}>{words.moreWorn}</Button>
        <Button look="firm" onClick={() => onMatched(word)}>
          {words.itLooksLikeThat}
        </Button>
        <WearMark word={word} />
      </div>
    </div>
  )
}
