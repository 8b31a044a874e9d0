/** The words of DayList. */
export const words = {
  allBikes: 'all bikes',
  thoseThatNeedSomething: 'those that need something',
  findABikeOwner: 'Find a bike, owner or rack',
  show: 'Show',
  groupedBy: 'Grouped by',
  inOrderOf: 'In order of',
  theListOnPaper: 'The list on paper (PDF)',
  chooseNoneOfThese: 'Choose none of these',
  chooseAllOfThese: 'Choose all of these',
  noBikeIsLike: 'No bike is like that. Try fewer words, or show all bikes.',
  bikes: 'Bikes',
}
