/** The words of LiveCaliper. */
export const words = {
  notConnected: 'Not connected.',
  connecting: 'Connecting…',
  connectedPressTheButton: 'Connected: press the button on the caliper, inside first, then outside.',
  connectionLostWhatCame: 'Connection lost. What came is kept; trying again…',
  theCaliperCannotBe: 'The caliper cannot be reached: it needs the Jolt Mile server. Trying again…',
  theStandInDoes: 'The stand-in does not answer. Is the server running?',
  theStandInForACaliper: 'the stand-in for a caliper',
  noCaliperAtHand: 'No caliper at hand? This one ships with the server. It holds a chain of your making.',
  chainInItsJaws: 'Chain in its jaws, %',
  noiseMm: 'Noise, mm',
  dropsOutAfter: 'Drops out after',
  batteryLow: 'Battery low',
  pressItsButton: 'Press its button',
  caliperWithAData: 'Caliper with a data button',
  disconnect: 'Disconnect',
  connect: 'Connect',
  lastMm: (mm: string) => `Last: ${mm} mm.`,
  itsBatteryIsLow: 'Its battery is low: change it soon.',
  aCaliperThatTypes:
    'A caliper that types works too: its digits and Enter are taken from anywhere on this page.',
}
