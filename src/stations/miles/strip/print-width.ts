/** Width of the road on a printed sheet, px. */
export const PRINT_PX = 1000
