/** What is wrong with a table. */
export const texts = {
  thisLineStandsAbove: 'this line stands above the headings',
  quotationMarkIsNotClosed:
    'a quotation mark is not closed where a cell ends; the row was read as well as it could be',
  thisRowHasNothing: 'this row has nothing for a card',
};
