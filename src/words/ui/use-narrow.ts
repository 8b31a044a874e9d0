/** The words of use-narrow. */
export const words = {
  maxWidth639px: '(max-width: 639px)',
}
