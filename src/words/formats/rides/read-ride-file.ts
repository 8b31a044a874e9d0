/** The words of read-ride-file. */
export const words = {
  itHasMbLarger: (count: number) => `It has ${count} MB: larger than any ride. Export the ride by itself.`,
  gpxTcxFitAndCsv:
    'GPX, TCX, FIT and CSV files can be read, by themselves or in a ZIP. Export the ride as one of them, or add it by hand.',
}
