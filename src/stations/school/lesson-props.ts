/** A lesson gets the seed of its made-up chain, sprocket or story. */
export interface LessonProps {
  readonly seed: number
  readonly onNext: () => void
  readonly onLeave: () => void
}
