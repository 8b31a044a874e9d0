/** The words of ErrorDrawing. */
export const words = {
  true: 'true',
  n03Low: '0.3 low',
  n03High: '0.3 high',
}
