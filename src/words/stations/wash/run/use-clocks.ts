/** The words of use-clocks. */
export const words = {
  theWaitIsOver: (name: string) => `${name}: the wait is over`,
}
