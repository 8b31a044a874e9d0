import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { ToothState } from '../../core/strategy/facts/tooth-state.ts'
import { toothStates } from '../../core/strategy/facts/tooth-state.ts'
import { cogRisks } from '../../core/strategy/facts/teeth-facts.ts'
import type { TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { openFitting } from '../../core/log/garage.ts'
import { useAnswers } from '../../session/use-forecasts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useTeeth } from '../../session/teeth-store.ts'
import { useJudged } from '../../session/verdicts.ts'
import { DrivetrainDrawing } from '../../ui/drawings/DrivetrainDrawing.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { STATIONS } from '../../words/places.ts'
import { useNarrow } from '../../ui/use-narrow.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayPercent } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import { OwnNumbers } from './OwnNumbers.tsx'
import { StrangeChecks } from './StrangeChecks.tsx'
import { TeethAnswer } from './TeethAnswer.tsx'
import { ToothPanel } from './ToothPanel.tsx'
import { ToothRows } from './ToothRows.tsx'
import { words } from '../../words/stations/teeth/teeth.ts'

const FRESH = 'fresh'

const isSame = (a: ToothState, b: ToothState | undefined): boolean =>
  b !== undefined &&
  a.sprocket.part.entry.part === b.sprocket.part.entry.part &&
  a.sprocket.teeth === b.sprocket.teeth

/** The chains that may be asked about on this bike: the one that is on, and spares that have run on it; as worn as Gauge has them. */
function useChains(bike: string | undefined, teeth: TeethOutlook | undefined) {
  const { garage } = useOpenLog()
  const parts = useMemo(
    () =>
      Object.keys(teeth?.chains ?? {})
        .flatMap((id) => garage.parts.get(id) ?? [])
        .filter(({ retired, fittings }) => !retired && fittings.some((fitting) => fitting.bike === bike)),
    [garage, bike, teeth],
  )
  const answers = useAnswers(useMemo(() => parts.map(({ entry }) => entry.part), [parts]))
  return parts
    .map((part, i) => {
      const id = part.entry.part
      const isOn = openFitting(part)?.bike === bike
      const mean = answers[i]?.now.mean
      const at = mean === undefined ? '' : `, ${sayPercent(mean)}`
      const name = namePart(garage, id)
      return { id, isOn, name, label: `${isOn ? words.theOneOnIt : name}${at}` }
    })
    .sort((a, b) => Number(b.isOn) - Number(a.isOn))
}

/** Teeth: what the road, the eye, the tool and the ride say about every cog, ring and pulley, and whether a chain runs on them. */
export default function Teeth() {
  const { garage } = useOpenLog()
  const bike = useBikeId(garage)
  const judged = useJudged(bike)
  const [chain, setChain] = useState<string>(FRESH)
  const isNarrow = useNarrow()
  const [picked, setPicked] = useState<ToothState>()
  const teeth = judged?.teeth
  const report = judged?.report
  const chains = useChains(bike, teeth)
  const inQuestion = chains.some(({ id }) => id === chain) ? chain : FRESH
  const states = useMemo(
    () => (report ? toothStates(garage, report, teeth, inQuestion === FRESH ? undefined : inQuestion) : []),
    [garage, report, teeth, inQuestion],
  )
  const risks = useMemo(
    () => (report && teeth ? cogRisks(report, teeth, inQuestion === FRESH ? undefined : inQuestion) : []),
    [report, teeth, inQuestion],
  )
  const { isWorking } = useTeeth(bike)
  if (!report) return <NoBike what={words.addOneWithIts} />
  const { name } = report.bike.entry
  if (states.length === 0)
    return (
      <Answer
        word="unsure"
        action={
          <Link to={STATIONS.shelf.path} className={buttonLook('next')}>
            {words.goToTheShelf}
          </Link>
        }
      >
        {words.noCogsOrRings(name)}
      </Answer>
    )
  const worst = [...states].sort((a, b) => (b.risk ?? -1) - (a.risk ?? -1))[0]
  const chosen = states.find((state) => isSame(state, picked)) ?? worst
  return (
    <div className="flex flex-col gap-6">
      <TeethAnswer
        report={report}
        teeth={teeth}
        states={states}
        risks={risks}
        asked={chains.find(({ id }) => id === inQuestion)}
      />
      <StrangeChecks bike={report.bike.entry.bike} />
      <div className="grid grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)] gap-x-12 gap-y-8 max-lg:grid-cols-1">
        <section aria-label={words.everySprocket} className="min-w-0">
          {isWorking && (
            <p role="status" className="mb-4 text-steel">
              {words.workingItOutWhat}
            </p>
          )}
          {risks.length > 0 && (
            <Choice<string>
              legend={words.withWhichChain}
              value={inQuestion}
              onPick={setChain}
              className="mb-4"
              options={[
                { value: FRESH, label: words.aFreshOne },
                ...chains.map(({ id, label }) => ({ value: id, label })),
              ]}
            />
          )}
          <ToothRows
            states={states}
            chosen={chosen}
            onChoose={(state) => {
              setPicked(state)
              // On a phone what is in hand stands below all rows.
              if (isNarrow) document.getElementById('looks')?.scrollIntoView()
            }}
          />
          <div className="mt-6">
            <DrivetrainDrawing judged={states} chosen={chosen?.sprocket} />
            <p className="text-sm text-steel">{words.theBarIs50}</p>
          </div>
          <p className="mt-2 text-sm text-steel">{words.theIsTheChains}</p>
          <p className="no-print mt-2 text-[0.95rem]">
            <Link to={STATIONS.faults.path} className="underline underline-offset-4">
              {words.itSlipsAndYou}
            </Link>
          </p>
          {teeth && <OwnNumbers {...teeth} />}
        </section>
        <section
          id="looks"
          tabIndex={-1}
          className="min-w-0 scroll-mt-4 outline-none"
          aria-label={words.checks}
        >
          {chosen && (
            <ToothPanel
              key={`${chosen.sprocket.part.entry.part} ${chosen.sprocket.teeth}`}
              state={chosen}
              teeth={teeth}
            />
          )}
        </section>
      </div>
    </div>
  )
}
