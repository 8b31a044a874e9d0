/** Nominal chain pitch, mm: half an inch (roller-chain standard). */
export const PITCH_MM = 12.7
/** Nominal roller diameter, mm. */
export const ROLLER_MM = 7.75
/** Nominal pin diameter, mm. */
export const PIN_MM = 3.6
