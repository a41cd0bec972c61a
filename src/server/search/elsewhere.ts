import { folded } from '../../db/folded';
import type { Workshop } from '../openWorkshop';

/** Something besides the Logbook that a search names. */
export interface Elsewhere {
  what: 'Plan' | 'Material' | 'Lot' | 'Mold';
  name: string;
  href: string;
}

const MOST_OF_KIND = 4;

/** Plans, materials, lots and molds whose name or note has all of these words. */
export function elsewhere({ plans, materials, molds, lots }: Workshop, search: string): Elsewhere[] {
  const words = folded(search).split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const has = (...texts: string[]) => {
    const text = folded(texts.join(' '));
    return words.every((word) => text.includes(word));
  };
  const shelf = materials.all().map(({ item }) => item);
  const nameOf = new Map(shelf.map(({ id, name }) => [id, name]));
  const plansFound = plans.page(MOST_OF_KIND, 0, words.join(' ')).items;
  return [
    ...plansFound.map(
      ({ id, plan }): Elsewhere => ({
        what: 'Plan',
        name: plan.name,
        href: `/plans/${encodeURIComponent(id)}`,
      }),
    ),
    ...shelf
      .filter(({ name, note }) => has(name, note))
      .slice(0, MOST_OF_KIND)
      .map(
        ({ id, name }): Elsewhere => ({
          what: 'Material',
          name,
          href: `/shelf?material=${encodeURIComponent(id)}`,
        }),
      ),
    ...lots
      .all()
      .filter(({ item: { number, note, item } }) => has(number, note, nameOf.get(item.id) ?? ''))
      .slice(0, MOST_OF_KIND)
      .map(
        ({ item: { id, number, item } }): Elsewhere => ({
          what: 'Lot',
          name: `${number}, ${nameOf.get(item.id) ?? ''}`,
          href: `/trace/${encodeURIComponent(id)}`,
        }),
      ),
    ...molds
      .all()
      .filter(({ item: { name, note } }) => has(name, note))
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
