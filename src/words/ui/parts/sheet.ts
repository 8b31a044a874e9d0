/** The words of Sheet. */
export const words = {
  close: 'Close',
}
