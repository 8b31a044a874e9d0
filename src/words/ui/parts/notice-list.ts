/** The words of NoticeList. */
export const words = {
  notice: 'Notice',
}
