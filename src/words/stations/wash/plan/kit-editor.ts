/** The words of KitEditor. */
export const words = {
  discBrakes: 'disc brakes',
  rimBrakes: 'rim brakes',
  washKitSaved: 'Wash kit saved.',
  aGuessSoFar: ': a guess so far',
  whatYouHaveToWash: (phrase: string) => `What you have to wash with${phrase}`,
  noSolventNearMy: 'no solvent near my chains',
  myUsualWay: (way: string) => `${way}: my usual way`,
  inThisWaxSince: (count: string, day: string) =>
    `${count} in this wax since ${day}. Renew it when it turns grey, or as its maker says.`,
  whenWasTheWax: 'When was the wax in the pot fresh?',
  freshWaxToday: 'Fresh wax today',
  has: (name: string) => `${name} has`,
  bikeSaved: 'Bike saved.',
}
