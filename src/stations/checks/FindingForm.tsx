import { useState } from 'react'
import { object } from 'yup'
import { ACTS, itemOf, type Act, type ItemId } from '../../core/checks/items.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { CHECK_BOUNDS } from '../../core/log/kinds/check.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { numberField, shortText } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { dayOf } from '../../words/day.ts'
import { PickFile } from '../../ui/pictures/PickFile.tsx'
import { decodePicture, jpegOf } from '../../ui/pictures/decode.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { ACT_NAMES } from '../../words/checks/check-words.ts'
import type { FindingNote } from './round-writing.ts'
import { words } from '../../words/stations/checks/finding-form.ts'

interface Props {
  readonly item: ItemId
  readonly result: 'watch' | 'fail'
  readonly onSave: (note: FindingNote) => void
  readonly onBack: () => void
}

/** A distance for "soon", km, until somebody says otherwise. */
const SOON_KM = 300

/** What is done about a finding, by when, with a word and a picture. */
export function FindingForm({ item, result, onSave, onBack }: Props) {
  const { pictures, now } = useOpenLog()
  const units = useUnits()
  const [act, setAct] = useState<Act>(itemOf(item).act)
  const [picture, setPicture] = useState<string>()
  const [said, setSaid] = useState('')
  const isMetric = units === 'metric'
  const isDated = result === 'watch' || act === 'soon'
  const schema = object({
    by: numberField({
      unit: isMetric ? 'km' : 'mi',
      ask: words.withinWhatDistance,
      least: 0,
      most: CHECK_BOUNDS.byKm,
    }),
    day: shortText(10).test(
      'day',
      words.giveADayThatIsStill,
      (day) => day === '' || (/^\d{4}-\d\d-\d\d$/.test(day) && day >= dayOf(now)),
    ),
    note: shortText(BOUNDS.noteLetters),
  })
  const { form, submit } = useCheckedForm(
    schema,
    { by: Math.round(isMetric ? SOON_KM : kmToMiles(SOON_KM)), day: '', note: '' },
    ({ by, day, note }) =>
      onSave({
        act,
        ...(isDated && by !== undefined && { byKm: isMetric ? by : milesToKm(by) }),
        ...(isDated && day !== '' && { byDay: new Date(`${day}T12:00:00`).toISOString() }),
        ...(note !== '' && { note }),
        ...(picture !== undefined && { picture }),
      }),
  )
  const take = async (file: File): Promise<void> => {
    const decoded = await decodePicture(file)
    if ('fault' in decoded) {
      setSaid(decoded.fault === 'too-large' ? words.thatPictureIsToo : words.thatFileIsNo)
      return
    }
    const jpeg = await jpegOf(decoded)
    if (!jpeg) return setSaid(words.thePictureCouldNot)
    setPicture(await pictures.keep(jpeg))
    setSaid(words.pictureAdded)
  }
  const { errors } = form.formState
  return (
    <form noValidate className="flex flex-col gap-4 border-l-4 border-rust pl-4" onSubmit={submit}>
      {result === 'fail' && (
        <Choice<Act>
          legend={words.whatToDo}
          value={act}
          onPick={setAct}
          options={ACTS.map((value) => ({ value, label: ACT_NAMES[value] }))}
        />
      )}
      {isDated && (
        <div className="grid max-w-[30rem] grid-cols-2 gap-3">
          <TextField
            label={words.within(
              result === 'watch' ? words.lookAgain : words.seeToIt,
              isMetric ? words.km : words.miles,
            )}
            inputMode="decimal"
            fault={errors.by?.message}
            {...form.register('by')}
          />
          <TextField
            label={words.andByIfYou}
            type="date"
            fault={errors.day?.message}
            {...form.register('day')}
          />
        </div>
      )}
      <TextField label={words.aWordAboutIt} fault={errors.note?.message} {...form.register('note')} />
      <div className="flex flex-wrap items-center gap-2">
        <PickFile label={words.takeAPicture} isCamera onPicked={(file) => void take(file)} />
        <PickFile label={words.chooseAPicture} isCamera={false} onPicked={(file) => void take(file)} />
        <span role="status" className="text-sm text-steel">
          {said}
        </span>
      </div>
      <div className="flex flex-wrap gap-3">
        <Button look="firm" type="submit" className="bench:min-h-16 bench:text-xl">
          {words.save(result === 'watch' ? words.andWatchIt : words.theFinding)}
        </Button>
        <Button look="link" className="min-h-11" onClick={onBack}>
          {words.back}
        </Button>
      </div>
    </form>
  )
}
