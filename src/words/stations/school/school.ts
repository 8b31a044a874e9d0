/** The words of School. */
export const words = {
  yourLessonsAreUsed: 'Your lessons are used.',
  yourLessonsAreNot: 'Your lessons are not used.',
  howYouRead: 'How you read',
  measuredOnMadeUp:
    'Measured on made-up chains and teeth, where the truth is known. It is used only if you say so.',
  nothingYetEachLesson: 'Nothing yet: each lesson adds to it.',
  usedFromLessonsOn: (leastLessons: number) => ` Used from ${leastLessons} lessons on.`,
  useItForMy: 'Use it for my readings: they are corrected, and trusted as they deserve',
  useItForMyLooks: 'Use it for my looks at teeth',
  nothingToPractise: 'Nothing to practise.',
  practiseFirst: (within: string) => `Practise first: ${within}.`,
  aLessonTakesAMinute:
    'A lesson takes a minute. You read a made-up chain; then you see how long it really is.',
  practiseToday: (within: string) => `Practise today: ${within}.`,
  toPractiseALesson: (count: string) => `${count} to practise. A lesson takes a minute.`,
  notPractisedYet: (within: string) => `Not practised yet: ${within}.`,
  nothingToPractiseToday: 'Nothing to practise today.',
  next: (within: string, day: string) => `Next: ${within}, ${day}.`,
  startALesson: 'Start a lesson',
  lessons: 'Lessons',
  shortAndSpacedOut: 'Short, and spaced out: what goes well comes back later.',
  today: 'today',
  next2: (day: string) => `; next ${day}`,
  practise: 'Practise',
}
