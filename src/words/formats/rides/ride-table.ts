/** The words of ride-table. */
export const words = {
  theFileIsEmpty: 'The file is empty. Export the table again.',
  noColumnsCanBe:
    'No columns can be found in it. Export the table with commas, semicolons or tabs between the columns.',
  thereIsNothingUnder: 'There is nothing under its column heads. Export the table again, with its rides.',
}
