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

export const LAYOUT_NAMES = {
  sticker: 'Sticker',
  band: 'Band around it',
  tag: 'Tag, two sides',
  round: 'Round, two stickers',
} as const;

export const FORM_NAMES = { single: 'Single', set: 'Set', 'gift-box': 'Gift box' } as const;
