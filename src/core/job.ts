/** How far a long computation has come, in steps of its own, with a part of the answer where it is handed over in parts. */
export interface JobStep<Part = never> {
  readonly done: number
  readonly of: number
  readonly part?: Part
}

/**
 * A computation that takes more than some 10 ms, cut into steps: whoever walks it may show how far it has come, let
 * others in between two steps, or stop walking. What only computes is walked at once; what also reads files, one step
 * after another.
 */
export type JobSteps<Answer, Part = never> =
  Generator<JobStep<Part>, Answer, undefined> | AsyncGenerator<JobStep<Part>, Answer, undefined>

/** Walks a computation to its end in one go: for tests, benches and the command line. */
export function toEnd<T>(walk: Generator<unknown, T, undefined>): T {
  for (let step = walk.next(); ; step = walk.next()) if (step.done) return step.value
}
