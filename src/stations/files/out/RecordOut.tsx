import { useState } from 'react'
import { recordOf, type RecordOf } from '../../../core/log/one-bike.ts'
import { picturesNamed } from '../../../core/log/kept-picture.ts'
import { saveLog } from '../../../session/backup.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useJudged } from '../../../session/verdicts.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { saveText } from '../../../ui/save-file.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { useBikeId } from '../../../ui/use-bike-id.ts'
import { useOnce } from '../../../ui/use-once.ts'
import { kindName } from '../../../words/kind-names.ts'
import { namePart } from '../../../words/part-name.ts'
import { sayRecord } from '../../../words/out-words.ts'
import { recordSheet } from '../../../words/record-sheet.ts'
import { fileName } from '../../../ui/file-name.ts'
import { SavePaper } from '../../../ui/parts/SavePaper.tsx'
import { LeaveOut } from './LeaveOut.tsx'
import { words } from '../../../words/stations/files/out/record-out.ts'

const PART = 'part:'

/** What the record is of, what it is called, and the bike whose sheet goes with it. */
function useChosen() {
  const { garage } = useOpenLog()
  const current = useBikeId(garage)
  const [picked, setPicked] = useState<string>()
  const id = picked ?? current ?? ''
  const isPart = id.startsWith(PART)
  const of: RecordOf = isPart ? { part: id.slice(PART.length) } : { bike: id }
  const name = isPart
    ? namePart(garage, id.slice(PART.length), undefined, true)
    : (garage.bikes.get(id)?.entry.name ?? '')
  return { id, of, name, bike: isPart ? undefined : id, setPicked }
}

/** The bike's sheet as PDF: the readable twin of its record. */
function RecordPaper({ bike, name }: { readonly bike: string; readonly name: string }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const judged = useJudged(bike)
  return (
    <SavePaper
      label={words.itsSheetAsPdf}
      file={fileName(name, words.record)}
      disabled={!judged?.verdict}
      write={async (paper) => {
        if (!judged) throw new TypeError('A bike without a report has no sheet.')
        const { paperPdf } = await import('../../../formats/paper-pdf.ts')
        return paperPdf(recordSheet(judged.report, judged.answer, judged.verdict, garage, units), paper)
      }}
    />
  )
}

/** One bike's record, or a part's, as a file of its own, to be brought into another log. */
export function RecordOut() {
  const { garage, ledger, pictures, world } = useOpenLog()
  const { id, of, name, bike, setPicked } = useChosen()
  const [people, setPeople] = useState(true)
  const [money, setMoney] = useState(true)
  const [said, setSaid] = useState('')
  const [save, busy] = useOnce(async () => {
    const state = ledger.state()
    if (state.status !== 'open') return
    const record = recordOf(state.entries, garage, of, { people, money }, kindName)
    const named = new Set(picturesNamed(record))
    await saveLog(
      world,
      (now) => `${fileName('jolt-mile', name, now.slice(0, 10))}.json`,
      async () => ({
        stored: record,
        aside: [],
        pictures: (await pictures.all()).filter(({ id: picture }) => named.has(picture)),
      }),
      saveText,
      (outcome) => setSaid(sayRecord(name, outcome)),
    )
  })
  if (garage.bikes.size === 0) return null
  return (
    <Section title={words.oneBikesRecord} note={words.forWhoeverRidesOrMends}>
      <SelectField
        label={words.recordOf}
        value={id}
        options={{
          ...Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name])),
          ...Object.fromEntries(
            [...garage.parts.values()].map(({ entry }) => [
              `${PART}${entry.part}`,
              namePart(garage, entry.part, undefined, true),
            ]),
          ),
        }}
        onPick={(picked) => {
          setPicked(picked)
          setSaid('')
        }}
      />
      <div className="mt-2">
        <LeaveOut label={words.leaveOutNamesPlaces} value={people} onChange={setPeople} />
        <LeaveOut label={words.leaveOutPricesAndVisits} value={money} onChange={setMoney} />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button disabled={busy || name === ''} onClick={save}>
          {words.saveTheRecord}
        </Button>
        {bike !== undefined && <RecordPaper key={bike} bike={bike} name={name} />}
      </div>
      <p role="status" className="mt-3 text-[0.95rem] empty:hidden">
        {said}
      </p>
    </Section>
  )
}
