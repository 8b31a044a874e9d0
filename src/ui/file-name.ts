/** A name for a file out of what things are called: small letters and figures, joined by hyphens. */
export const fileName = (...parts: readonly string[]): string =>
  parts
    .join(' ')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 80)
