/** What was said; invented, as everybody is. */
export const SAID: readonly string[] = [
  'The second rehearsal moves to the Old Sail Hall. Asked for a stool without arms.',
  'Agreed on the fee; the contract goes out on Monday. #contract',
  'Wants to know who turns the pages. Promised to ask the conservatoire.',
  'Will bring the copy of the 1710 viola. Needs an insurance note for the customs. #instruments',
  'The piano has to be tuned twice on the opening day. #piano',
  'Would rather stay near the harbour this time, and not above the kitchen. #rooms',
  'Talked about the daughter’s first year at the conservatoire; she plays the bassoon now.',
  'Programme note comes a week late. Large print for the seats in the first row. #programme',
  'Liked last year’s supper; asked for the recipe of the fish soup.',
  'Cannot do the matinée, but would take the evening with the octet.',
  'The ferry takes no double basses in June. Looking for a haulier. #instruments',
  'Offers to pay for the new stage lights if the council pays for the fitting. #patrons',
  'Reviewed the quartet kindly. Would like an interview before the opening. #press',
  'Back from hospital and in good spirits; plays again from March.',
  'Sent the photographs of the hall. The balcony has to stay empty.',
  'Asked after the choir. They rehearse on Thursdays now.',
];
