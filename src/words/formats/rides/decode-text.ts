/** The words of decode-text. */
export const words = {
  thisIsNotText: 'This is not text, though its name says so. Export it again.',
}
