import type { FieldWords } from '../records/fieldWords';

/** What the fields of a lot are called. */
export const LOT_FIELD_WORDS = {
  number: { label: 'Lot number' },
  boughtOn: { label: 'Bought' },
  amount: { label: 'Amount' },
  price: { label: 'Price' },
  discountFraction: { label: 'Discount' },
  postage: { label: 'Postage, its share' },
  bestBefore: { label: 'Best before' },
  openedOn: { label: 'Opened' },
  openedMonths: { label: 'Good after opening' },
  heldFor: { label: 'Put aside until' },
  note: { label: 'Note' },
} satisfies Record<string, FieldWords>;
