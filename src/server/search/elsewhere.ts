import { folded } from '../../db/folded';
import type { Workshop } from '../openWorkshop';
import { turnWhenLong } from '../turn';

/** Something besides the Logbook that a search names. */
export interface Elsewhere {
  what: 'Plan' | 'Material' | 'Lot' | 'Mold';
  name: string;
  href: string;
}

const MOST_OF_KIND = 4;

/** Plans, materials, lots and molds whose name or note has all of these words, and lots of such a number. */
export async function elsewhere(
  { plans, materials, molds, lots }: Workshop,
  search: string,
): Promise<Elsewhere[]> {
  const words = folded(search).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const has = (record: { name: string; note: string }) => {
    const text = foldedOf(record);
    return words.every((word) => text.includes(word));
  };
  const plansFound = plans.page(MOST_OF_KIND, 0, words.join(' ')).items;
  await turnWhenLong();
  const shelf = materials.all().map(({ item }) => item);
  const nameOf = new Map(shelf.map(({ id, name }) => [id, name]));
  await turnWhenLong();
  return [
    ...plansFound.map(
      ({ id, plan }): Elsewhere => ({
        what: 'Plan',
        name: plan.name,
        href: `/plans/${encodeURIComponent(id)}`,
      }),
    ),
    ...shelf
      .filter(has)
      .slice(0, MOST_OF_KIND)
      .map(
        ({ id, name }): Elsewhere => ({
          what: 'Material',
          name,
          href: `/shelf?material=${encodeURIComponent(id)}`,
        }),
      ),
    ...lots.numberedLike(words.join(' '), MOST_OF_KIND).map(
      ({ id, number, materialId }): Elsewhere => ({
        what: 'Lot',
        name: `${number}, ${nameOf.get(materialId) ?? ''}`,
        href: `/trace/${encodeURIComponent(id)}`,
      }),
    ),
    ...molds
      .all()
      .filter(({ item }) => has(item))
      .slice(0, MOST_OF_KIND)
      .map(
        ({ item: { id, name } }): Elsewhere => ({
          what: 'Mold',
          name,
          href: `/molds?mold=${encodeURIComponent(id)}`,
        }),
      ),
  ];
}

/** A record stays the same value until it is saved. */
const FOLDED = new WeakMap<object, string>();

function foldedOf(record: { name: string; note: string }): string {
  const known = FOLDED.get(record);
  if (known !== undefined) return known;
  const text = folded(`${record.name} ${record.note}`);
  FOLDED.set(record, text);
  return text;
}
