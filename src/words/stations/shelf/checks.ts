/** The words of Checks. */
export const words = {
  stop: 'Stop.',
  takeCare: 'Take care.',
  look: 'Look.',
  beforeItGoesOn: 'Before it goes on',
}
