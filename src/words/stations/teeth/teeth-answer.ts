/** The words of TeethAnswer. */
export const words = {
  byEyeOfChecked: (looked: number, count: string) => `By eye: ${looked} of ${count} checked.`,
  checkACog: 'Check a cog',
  aSlippingDrivetrainCan:
    'A slipping drivetrain can throw the rider. Do not ride it hard, and never test it standing.',
}
