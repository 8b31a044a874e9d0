import { array, number, object, string } from 'yup'
import { NOTE_USES } from '../../../formats/notes/column-heads.ts'
import type { GuessedNotes } from '../../../formats/notes/note-mapping.ts'
import type { NoteTable } from '../../../formats/notes/note-table.ts'

const schema = object({
  uses: array()
    .of(
      string()
        .oneOf([...NOTE_USES])
        .required(),
    )
    .required(),
  limits: object().required(),
  words: object().required(),
  dates: string().oneOf(['iso', 'day-first', 'month-first']).optional(),
  decimals: string().oneOf(['point', 'comma', 'each']).optional(),
  unit: string().oneOf(['km', 'miles']).optional(),
  contacts: string().oneOf(['two-contact', 'three-contact']).optional(),
  yesMeans: string().oneOf(['drops', 'good']).optional(),
  pitches: number().integer().min(1).max(400).optional(),
  lengthUnit: string().oneOf(['mm', 'inches']).optional(),
  currency: string().length(3).optional(),
}).required()

/** Whether what was kept is how a table like this one was read before. */
export const isMapping = (kept: unknown, table: NoteTable): kept is GuessedNotes =>
  schema.isValidSync(kept, { strict: true }) && kept.uses.length === table.heads.length
