/** The words of paper-pdf. */
export const words = {
  pageOf: (title: string, page: number, pages: number) => `${title} \u00b7 page ${page} of ${pages}`,
}
