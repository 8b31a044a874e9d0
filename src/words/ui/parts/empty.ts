/** The words of Empty. */
export const words = {
  caution: 'Caution.',
}
