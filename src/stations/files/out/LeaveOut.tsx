interface Props {
  readonly label: string
  readonly value: boolean
  readonly onChange: (value: boolean) => void
}

/** A tick that something is left out of what is given to others. */
export const LeaveOut = ({ label, value, onChange }: Props) => (
  <label className="flex min-h-11 items-center gap-3 text-[0.95rem]">
    <input
      type="checkbox"
      className="size-5 shrink-0 accent-petrol"
      checked={value}
      onChange={({ target }) => onChange(target.checked)}
    />
    {label}
  </label>
)
