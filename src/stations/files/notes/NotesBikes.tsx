import { CONDITIONS, type Condition } from '../../../core/exposure/conditions.ts'
import type { DrivetrainKind } from '../../../core/gearing/drivetrains.ts'
import { bikeKey } from '../../../formats/notes/note-entries.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { CONDITION_NAMES, DRIVETRAIN_NAMES } from '../../../words/names.ts'
import type { Notes } from './use-notes.ts'
import { words } from '../../../words/stations/files/notes/notes-bikes.ts'

const NONE = ''
const NEW = 'new:'

/** Which bike the notes are about: one of the log, or a new one with what its limit depends on. */
function OneBike({ name, notes }: { readonly name: string; readonly notes: Notes }) {
  const { garage } = useOpenLog()
  const { bikes, choose } = notes
  const told = bikes[bikeKey(name)]
  const isNew = told?.is === 'new'
  const here = Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name]))
  const news = Object.fromEntries(
    Object.entries(DRIVETRAIN_NAMES).map(([kind, said]) => [`${NEW}${kind}`, words.aNewBike(said)]),
  )
  const value = isNew ? `${NEW}${told.gears}` : told?.is === 'here' ? told.bike : NONE
  const pick = (picked: string): void => {
    if (picked.startsWith(NEW)) {
      const gears = picked.slice(NEW.length) as DrivetrainKind
      const before = isNew ? told : { name: name === '' ? words.myBike : name, usual: 'dry-road' as const }
      choose(name, {
        is: 'new',
        gears,
        note: DRIVETRAIN_NAMES[gears],
        name: before.name,
        usual: before.usual,
      })
    } else choose(name, picked === NONE ? undefined : { is: 'here', bike: picked })
  }
  return (
    <li className="grid grid-cols-[repeat(auto-fill,minmax(14.5rem,1fr))] gap-x-6 gap-y-3 border-t border-hairline py-3 max-sm:grid-cols-1">
      <SelectField
        label={name === '' ? words.theNotesAreAbout : words.is(name)}
        options={{ [NONE]: words.choose, ...here, ...news }}
        value={value}
        onPick={pick}
      />
      {isNew && (
        <>
          <TextField
            label={words.itsName}
            value={told.name}
            maxLength={40}
            onChange={({ target }) => choose(name, { ...told, name: target.value })}
            fault={told.name.trim() === '' ? words.giveItAName : undefined}
          />
          <SelectField<Condition>
            label={words.mostlyRiddenIn}
            options={
              Object.fromEntries(CONDITIONS.map((one) => [one, CONDITION_NAMES[one]])) as Record<
                Condition,
                string
              >
            }
            value={told.usual}
            onPick={(usual) => choose(name, { ...told, usual })}
          />
        </>
      )}
    </li>
  )
}

/** The bikes that a table of notes is about. */
export const NotesBikes = ({ notes }: { readonly notes: Notes }) => (
  <ul aria-label={words.bikesOfTheNotes} className="border-b border-hairline">
    {notes.names.map((name) => (
      <OneBike key={bikeKey(name)} name={name} notes={notes} />
    ))}
  </ul>
)
