import type { Units } from '../core/units/units.ts'
import { Choice } from '../ui/parts/fields.tsx'
import { Sheet } from '../ui/parts/Sheet.tsx'
import { datesChosen, numbersChosen, unitsChosen, useScreen, useSend } from '../ui/screen-state.ts'
import { words } from '../words/app/manner-sheet.ts'
import {
  DATE_STYLES,
  NUMBER_STYLES,
  type DateChoice,
  type NumberChoice,
  type NumberStyle,
} from '../words/manner.ts'
import { sayFullDay, sayKm } from '../words/numbers.ts'

const NUMBER_OPTIONS = (Object.keys(NUMBER_STYLES) as NumberStyle[]).map((value) => {
  const { group, mark } = NUMBER_STYLES[value]
  return { value, label: `12${group}345${mark}6` }
})

/** How numbers, days and distances are written, everywhere and at once. */
export default function MannerSheet({ onClose }: { readonly onClose: () => void }) {
  const { numbers, dates, units } = useScreen((state) => state.screen)
  const send = useSend()
  return (
    <Sheet open onClose={onClose} title={words.title} note={words.note}>
      <div className="flex flex-col gap-6">
        <Choice<NumberChoice>
          legend={words.numbers}
          value={numbers}
          onPick={(choice) => send(numbersChosen(choice))}
          options={[{ value: 'browser', label: words.asTheBrowser }, ...NUMBER_OPTIONS]}
        />
        <Choice<DateChoice>
          legend={words.days}
          value={dates}
          onPick={(choice) => send(datesChosen(choice))}
          options={[
            { value: 'browser', label: words.asTheBrowser },
            ...DATE_STYLES.map((value) => ({ value, label: words.dateStyles[value] })),
          ]}
        />
        <Choice<Units>
          legend={words.units}
          value={units}
          onPick={(choice) => send(unitsChosen(choice))}
          options={[
            { value: 'metric', label: words.metric },
            { value: 'imperial', label: words.imperial },
          ]}
        />
        <p role="status" className="border-t border-hairline pt-4 text-[1.05rem]">
          {words.example(sayKm(12345, units), sayKm(6.4, units), sayFullDay('2026-12-12T12:00:00'))}
        </p>
      </div>
    </Sheet>
  )
}
