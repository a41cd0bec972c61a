import type { Blend } from '../../core/materials/blend';
import { USES, type Use } from '../../core/materials/fields';
import type { Allergen } from '../../core/materials/fragrance';
import { READING_KINDS, type Reading, type ReadingKind } from '../../core/materials/reading';
import { fail, ok } from '../../core/result';
import { parseNumber } from '../../core/units/parseNumber';
import { writeFigure } from '../../core/units/writeQuantity';
import { USE_NAMES } from '../../words/en/plan/useNames';
import { FIELD_FAULTS } from '../../words/en/records/fieldFaults';
import { type FieldText, figureField, listField } from './fieldText';

const namedShare: FieldText<Allergen> = {
  write: ({ name, ofMaterial }, context) =>
    `${name} ${figureField({ unit: '%', least: 0, most: 100 }, 0.01).write(ofMaterial, context)} %`,
  read(text, context) {
    const parts = /^(.+?)\s+([\d.,]+)\s*%$/.exec(text);
    if (!parts) return fail(FIELD_FAULTS.noShare(text));
    const ofMaterial = figureField({ unit: '%', least: 0, most: 100 }, 0.01).read(parts[2] ?? '', context);
    return ofMaterial.success
      ? ok({ name: (parts[1] ?? '').trim(), ofMaterial: ofMaterial.data })
      : ofMaterial;
  },
};

const member: FieldText<Blend['members'][number]> = {
  write: ({ materialId, parts }, { nameOf }) => `${writeFigure(parts, 6)}x ${nameOf(materialId)}`,
  read(text, { idOf }) {
    const number = parseNumber(text);
    const name = number.success ? /^\s*[x×*]?\s*(.+)$/.exec(number.data.rest)?.[1] : undefined;
    if (!number.success || name === undefined || !(number.data.value > 0))
      return fail(FIELD_FAULTS.noPart(text));
    const materialId = idOf(name);
    return materialId === undefined
      ? fail(FIELD_FAULTS.notOnShelf(name))
      : ok({ materialId, parts: number.data.value });
  },
};

const UNIT_OF: Record<ReadingKind, string> = {
  drops: 'drops',
  spoon: 'mL',
  blocks: 'blocks',
  scoops: 'scoops',
  capsules: 'capsules',
};

const reading: FieldText<Reading> = {
  write: ({ on, count, of, massG }) =>
    `${on} ${writeFigure(count, 6)} ${UNIT_OF[of]} ${writeFigure(massG, 6)} g`,
  read(text) {
    const parts = /^(\d{4}-\d\d-\d\d) ([\d.]+) (\w+) ([\d.]+) g$/.exec(text);
    const of = READING_KINDS.find((kind) => UNIT_OF[kind] === parts?.[3]);
    if (!parts || !of) return fail(FIELD_FAULTS.noReading(text));
    return ok({
      on: parts[1] ?? '',
      count: Number(parts[2]),
      of,
      massG: Number(parts[4]),
    });
  },
};

/** The readings of a bottle as text. */
export const readingsText = listField(reading);

const limitByUse: FieldText<{ use: Use; maxOfProduct: number }> = {
  write: ({ use, maxOfProduct }, context) =>
    `${use} ${figureField({ unit: '%', least: 0, most: 100 }, 0.01).write(maxOfProduct, context)} %`,
  read(text, context) {
    const parts = /^(.+?)\s+([\d.,]+)\s*%$/.exec(text.trim());
    const named = parts?.[1]?.toLowerCase() ?? '';
    const use = USES.find((each) => each === named || USE_NAMES[each].toLowerCase() === named);
    if (!parts || !use) return fail(FIELD_FAULTS.noUse(text, USES));
    const limit = figureField({ unit: '%', least: 0, most: 100 }, 0.01).read(parts[2] ?? '', context);
    return limit.success ? ok({ use, maxOfProduct: limit.data }) : limit;
  },
};

/** Limits of a supplier's by use as text: face 1 %; hair 2 %. */
export const limitsByUseText = listField(limitByUse);
/** What is in a material, each with its share, as text: Linalool 12 %; Limonene 3 %. */
export const namedSharesText = listField(namedShare, { commas: true });
/** Members of a blend as text: 2x Lime oil; 1x Bay oil. */
export const membersText = listField(member);
