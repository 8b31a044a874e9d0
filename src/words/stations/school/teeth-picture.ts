/** The words of TeethPicture. */
export const words = {
  teethOfATooth: (count: number, teeth: number, role: string) =>
    `${count} teeth of a ${teeth}-tooth ${role}, to be judged by eye.`,
}
