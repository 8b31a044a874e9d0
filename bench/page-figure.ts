/** A figure of the real page. */
export interface PageFigure {
  readonly what: string
  readonly median: string
  readonly worst: string
  readonly goal: string
}
