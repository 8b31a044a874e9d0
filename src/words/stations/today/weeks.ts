/** What a mark on the weeks ahead stands for, by the kind of reminder. */
export const words = {
  look: 'look',
  lube: 'lube',
  swap: 'swap',
  advice: 'advice',
  check: 'check',
  finding: 'see to',
  wearing: 'measure',
}
