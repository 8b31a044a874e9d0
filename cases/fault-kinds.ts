import { array, object, string } from 'yup'
import { rankBySigns, SIGNS } from '../src/core/faults/signs.ts'
import { kind, type Runner } from './kind.ts'

/** Cases about faults. */
export const FAULT_KINDS: Readonly<Record<string, Runner>> = {
  'faults.rank': kind(
    object({
      seen: array(string().required().oneOf(SIGNS, '“${value}” is not a sign that is known.')).required(),
    }),
    ({ seen }) => ({
      ...rankBySigns(seen),
    }),
  ),
}
