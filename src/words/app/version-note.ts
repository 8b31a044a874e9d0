/** The words of VersionNote. */
export const words = {
  aNewVersionOfJolt: 'A new version of Jolt Mile is ready. Save what you are typing first.',
  useItNow: 'Use it now',
  joltMileWasBrought: 'Jolt Mile was brought up to date in another tab.',
  reload: 'Reload',
}
