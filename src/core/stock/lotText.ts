import {
  dayField,
  figureField,
  nameField,
  type TextContext,
  textField,
  unknownField,
} from '../records/fieldText';
import {
  type RecordField,
  type RecordTexts,
  readTexts,
  type TextFault,
  writeTexts,
} from '../records/recordText';
import type { Result } from '../result';
import { type Lot, type NewLot, newLotSchema } from './lot';

/** The fields of a lot as text, in the order of a form and of the columns of a file. */
export const LOT_FIELDS: readonly RecordField[] = [
  { key: 'number', label: 'Lot number', text: nameField(60), first: '' },
  { key: 'boughtOn', label: 'Bought', text: dayField, first: '' },
  { key: 'amount', label: 'Amount', text: figureField({ unit: 'g', least: 0.001, most: 1e6 }), first: '' },
  {
    key: 'price',
    label: 'Price',
    text: unknownField(figureField({ unit: '', least: 0, most: 1e6 })),
    first: '',
  },
  {
    key: 'discountFraction',
    label: 'Discount',
    unit: '%',
    text: figureField({ unit: '%', least: 0, most: 100 }, 0.01),
    first: '0',
  },
  { key: 'bestBefore', label: 'Best before', text: unknownField(dayField), first: '' },
  { key: 'openedOn', label: 'Opened', text: unknownField(dayField), first: '' },
  { key: 'note', label: 'Note', text: textField(2000), first: '' },
];

export function writeLot(lot: Lot, context: TextContext): RecordTexts {
  return writeTexts(LOT_FIELDS, { ...lot }, context);
}

/** The lot that texts say, without an id. */
export function readLot(
  materialId: string,
  texts: RecordTexts,
  context: TextContext,
): Result<NewLot, TextFault[]> {
  return readTexts(LOT_FIELDS, newLotSchema, { materialId }, texts, context);
}
