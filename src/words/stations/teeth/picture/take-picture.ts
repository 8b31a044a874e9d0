/** The words of TakePicture. */
export const words = {
  byAPicture: 'By a picture',
  straightOverItAll:
    'Straight over it, all of it in, even light, no chain on it. It is measured here, in the browser.',
  takeAPicture: 'Take a picture',
  chooseAPicture: 'Choose a picture',
  useAMadeUp: 'Use a made-up picture',
}
