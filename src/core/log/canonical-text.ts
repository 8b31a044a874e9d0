/** Keys in order at every depth, so that equal entries have equal text whatever wrote them. */
function canonical(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(canonical)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, held]) => held !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, held]) => [key, canonical(held)]),
  )
}

/** A value as text that depends on what it says alone: not on the order in which its fields were written. */
export const canonicalText = (value: unknown): string => JSON.stringify(canonical(value)) ?? 'null'
