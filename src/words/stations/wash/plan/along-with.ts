/** The words of AlongWith. */
export const words = {
  alongWithIt: (name: string) => `Along with it: ${name}`,
  leaveOut: (name: string) => `Leave ${name} out`,
  washAnotherBikeAlong: 'Wash another bike along with it',
  noOtherBike: 'no other bike',
}
