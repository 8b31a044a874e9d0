import { BOUNDS } from '../../core/log/bounds.ts'
import { entry, text, thingId } from './checks.ts'

/** The fields of a note. */
export const noteSchema = entry('note', { about: thingId(), text: text(BOUNDS.noteLetters).min(1) })
