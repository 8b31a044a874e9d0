/** The words of tcx. */
export const words = {
  thisIsNotATcx: 'This is not a TCX file, though it is built like one. Choose the ride exported as TCX.',
  thisIsAPlanned: 'This is a planned course, not a recorded ride. Add the ride by hand if you rode it.',
}
