/** Speed at a cadence in a development, km/h. @param developmentM metres a crank turn @param rpm crank turns a minute */
export const cadenceSpeed = (developmentM: number, rpm: number): number => (developmentM * rpm * 60) / 1000
