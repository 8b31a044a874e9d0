/** The words of DrivetrainDrawing. */
export const words = {
  drawnToScale: (said: string) => `Drawn to scale: ${said}.`,
}
