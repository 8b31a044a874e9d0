/** The words of patient-fetch. */
export const words = {
  theServiceCouldNot: 'The service could not be reached: it needs the Jolt Mile server, or the network.',
  stopped: 'Stopped.',
  theServiceAsksForFewer: 'The service asks for fewer questions at once.',
  theServiceHasAFault: 'The service has a fault of its own.',
  theServiceRefused: 'The service refused.',
}
