/** Said beside whatever speaks of the Rules. */
export const COMMITTEE_DECIDES = 'A reminder only: the Rules of Golf and the committee decide.';

export const BENDING_CAUTION =
  'Bend only what the maker allows, with eye protection, and never in a hurry; a qualified club builder decides.';
