import { saySlip } from '../../words/numbers.ts'

/** A word beside a reading that was probably misread; nothing beside any other. */
export const SlipRemark = ({ chance }: { readonly chance: number | undefined }) =>
  chance === undefined ? null : <span className="block text-sm text-rust">{saySlip(chance)}</span>
