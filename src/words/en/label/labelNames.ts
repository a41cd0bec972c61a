export const RULE_NAMES = {
  'eu-cosmetic': 'EU, cosmetic',
  'us-cosmetic': 'US, cosmetic',
  'us-soap': 'US, true soap',
} as const;

export const RULE_SOURCES = {
  'eu-cosmetic': 'Regulation (EC) No 1223/2009, Art. 19; heights by Directive 76/211/EEC, annex I',
  'us-cosmetic': '21 CFR 701.3, 701.11 and 701.13; a contact by section 609 of the FD&C Act',
  'us-soap': '21 CFR 701.20 and 16 CFR Part 500',
} as const;

export const ALLERGEN_LIST_NAMES = {
  '2023-1545': 'the longer list, (EU) 2023/1545',
  before: 'the 24 names before it',
} as const;

/** When the shorter list may be chosen. */
export const LIST_OF_BEFORE_NOTE =
  'Only for what was on sale before 31 July 2026, until 31 July 2028; from memory.';

export const LIST_PLACE_NAMES = { label: 'on the label', notice: 'on a notice beside it' } as const;

/** When the ingredients may stand beside what is sold. */
export const NOTICE_NOTE =
  'For soap and other small products whose label, tag or leaflet has no room for it: Regulation (EC) No 1223/2009, Art. 19(3), from memory.';

export const LAYOUT_NAMES = {
  sticker: 'Sticker',
  band: 'Band around it',
  tag: 'Tag, two sides',
  round: 'Round, two stickers',
} as const;

export const FORM_NAMES = { single: 'Single', set: 'Set', 'gift-box': 'Gift box' } as const;
