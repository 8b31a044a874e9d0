/** The words of verify-backup. */
export const words = {
  ofEntriesDoNot: (count: number, count2: number) =>
    `${count} of ${count2} entries do not come back as they were`,
  ofPicturesDoNot: (unseen: number, count: number) =>
    `${unseen} of ${count} pictures do not come back as they were`,
  ofTheEntriesKept: (missing: number, count: number) =>
    `${missing} of the ${count} entries kept aside do not come back`,
}
