import { ok, type Result } from '../../core/result';
import type { Lot, NewLot } from '../../core/stock/lot';
import { newLotSchema } from '../../core/stock/lotSchema';
import { LOT_FIELD_WORDS } from '../../words/en/stock/lotFieldWords';
import {
  absentField,
  dayField,
  figureField,
  moneyField,
  nameField,
  type TextContext,
  textField,
  unknownField,
} from './fieldText';
import {
  type RecordField,
  type RecordTexts,
  readTexts,
  type TextFault,
  worded,
  writeTexts,
} from './recordText';

type Bare = Omit<RecordField, 'key' | 'label'> & { key: keyof typeof LOT_FIELD_WORDS };

/** The fields of a lot as text, in the order of a form and of the columns of a file. */
export const LOT_FIELDS: readonly RecordField[] = worded<keyof typeof LOT_FIELD_WORDS, Bare>(
  [
    { key: 'number', text: nameField(60), first: '' },
    { key: 'boughtOn', text: dayField, first: '' },
    { key: 'amount', text: figureField({ unit: 'g', least: 0.001, most: 1e6 }), first: '' },
    {
      key: 'price',
      text: unknownField(moneyField({ unit: '', least: 0, most: 1e6 })),
      first: '',
    },
    {
      key: 'discountFraction',
      unit: '%',
      text: figureField({ unit: '%', least: 0, most: 100 }, 0.01),
      first: '0',
    },
    { key: 'postage', text: absentField(moneyField({ unit: '', least: 0, most: 1e6 })), first: '' },
    { key: 'bestBefore', text: unknownField(dayField), first: '' },
    { key: 'openedOn', text: unknownField(dayField), first: '' },
    {
      key: 'openedMonths',
      unit: 'months',
      text: absentField(figureField({ unit: 'months', least: 1, most: 120, whole: true })),
      first: '',
    },
    { key: 'heldFor', text: absentField(textField(200)), first: '' },
    { key: 'note', text: textField(2000), first: '' },
  ],
  LOT_FIELD_WORDS,
);

export function writeLot(lot: Lot, context: TextContext): RecordTexts {
  return writeTexts(LOT_FIELDS, { ...lot }, context);
}

/** The lot that texts say, without an id. */
export function readLot(
  materialId: string,
  texts: RecordTexts,
  context: TextContext,
): Result<NewLot, TextFault[]> {
  const given = { item: { kind: 'material', id: materialId } };
  const read = readTexts(LOT_FIELDS, newLotSchema, given, texts, context);
  if (!read.success) return read;
  const { postage, openedMonths, heldFor, ...lot } = read.data;
  return ok({
    ...lot,
    ...(postage === undefined ? {} : { postage }),
    ...(openedMonths === undefined ? {} : { openedMonths }),
    ...(heldFor === undefined ? {} : { heldFor }),
  });
}
