/** The units in which distances and lengths are shown. */
export type Units = 'metric' | 'imperial'
