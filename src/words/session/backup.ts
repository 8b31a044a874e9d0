/** The words of backup. */
export const words = {
  itCouldNotBe: 'it could not be read again to check it',
}
