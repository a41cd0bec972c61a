import { type LabelFault, labelFaults } from '../core/label/labelFaults';
import { isOnNotice, isUs } from '../core/label/labelRules';
import type { Product } from '../core/product/product';
import { ingredientsWords } from '../words/en/label/labelTexts';
import { labelDay, labelParts } from './labels';
import type { Workshop } from './openWorkshop';

/** A product on a notice beside what is sold. */
export interface NoticeLine {
  id: string;
  name: string;
  identity: string;
  /** Of each plan's pieces. */
  lists: string[];
  /** What is missing or open of its lists. */
  faults: LabelFault[];
}

const OF_LISTS: ReadonlySet<LabelFault['code']> = new Set([
  'ingredients-unknown',
  'unlisted',
  'contradicted',
  'allergens-unknown',
  'may-swap',
]);

/** Products that a notice may be of, with those that stand on it: the ones asked for, or else those without a list on their label, or all. */
export function noticeOf(
  workshop: Workshop,
  asked: readonly string[],
): { products: { id: string; name: string; isOn: boolean }[]; lines: NoticeLine[] } {
  const products = workshop.products
    .all()
    .map(({ item }) => item)
    .filter(({ rules }) => !isUs(rules));
  const without = products.filter(({ rules, label }) => isOnNotice(rules, label.listOn));
  const usual = without.length > 0 ? without : products;
  const on = asked.length > 0 ? products.filter(({ id }) => asked.includes(id)) : usual;
  return {
    products: products.map((product) => ({
      ...{ id: product.id, name: product.name },
      isOn: on.includes(product),
    })),
    lines: on.map((product) => noticeLine(workshop, product)),
  };
}

function noticeLine(workshop: Workshop, product: Product): NoticeLine {
  const parts = labelParts(workshop, product, []);
  const identities = product.words.map(({ identity }) => identity).filter((identity) => identity !== '');
  return {
    ...{ id: product.id, name: product.name, identity: [...new Set(identities)].join(' / ') },
    lists: ingredientsWords(parts, product.rules).split('\n'),
    faults: labelFaults(product, parts, workshop.rules().maker, labelDay()).filter(({ code }) =>
      OF_LISTS.has(code),
    ),
  };
}
