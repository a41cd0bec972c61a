import { jugSchema, newJugSchema } from '../core/houseRules/jugSchema';
import { newScaleSchema, scaleSchema } from '../core/houseRules/scaleSchema';
import { materialSchema, newMaterialSchema } from '../core/materials/materialSchema';
import { moldSchema, newMoldSchema } from '../core/molds/moldSchema';
import { newProductSchema, productSchema } from '../core/product/productSchema';
import { newPurchaseSchema, purchaseSchema } from '../core/purchase/purchaseSchema';
import type { z } from '../core/zod';
import type { RecordTable } from '../db/records';
import { checkBlends } from './importShelf';
import { allowMaterial, deleteMaterial } from './materials';
import type { Workshop } from './openWorkshop';
import { notFound } from './problem';
import { checkProducts, deleteProduct } from './products';
import { allowPurchase, checkPurchases, deletePurchase, sharePostage } from './purchases';

interface NamedItem {
  id: string;
  name: string;
}

/** A kind of record, and how its records are kept. */
export interface RecordKind<Item extends NamedItem> {
  /** What one is called in an error. */
  what: string;
  table(workshop: Workshop): RecordTable<Item>;
  schema: z.ZodType<Item>;
  newSchema: z.ZodType<Omit<Item, 'id'>>;
  /** Looks at all of them after a write, which is taken back when it throws. */
  check?(workshop: Workshop): void;
  /** Throws when a record may not become another. */
  allow?(workshop: Workshop, before: Item, after: Item): void;
  /** Brings up what rests on a record that is saved, in the transaction of its write. */
  follow?(workshop: Workshop, saved: Item): void;
  /** Takes one away; left out where that is not possible. */
  remove?(workshop: Workshop, id: string): void;
}

/** Takes one away that nothing else rests on. */
function takesAway(table: 'jugs' | 'scales', what: string) {
  return (open: Workshop, id: string) => {
    if (!open[table].remove(id)) throw notFound(what, id);
  };
}

const kind = <Item extends NamedItem>(given: RecordKind<Item>) => given;

export const RECORD_KINDS = {
  material: kind({
    what: 'material',
    table: ({ materials }) => materials,
    schema: materialSchema,
    newSchema: newMaterialSchema,
    check: checkBlends,
    allow: allowMaterial,
    remove: deleteMaterial,
  }),
  mold: kind({
    what: 'mold',
    table: ({ molds }) => molds,
    schema: moldSchema,
    newSchema: newMoldSchema,
  }),
  jug: kind({
    what: 'jug',
    table: ({ jugs }) => jugs,
    schema: jugSchema,
    newSchema: newJugSchema,
    remove: takesAway('jugs', 'jug'),
  }),
  scale: kind({
    what: 'scale',
    table: ({ scales }) => scales,
    schema: scaleSchema,
    newSchema: newScaleSchema,
    remove: takesAway('scales', 'scale'),
  }),
  product: kind({
    what: 'product',
    table: ({ products }) => products,
    schema: productSchema,
    newSchema: newProductSchema,
    check: checkProducts,
    remove: deleteProduct,
  }),
  purchase: kind({
    what: 'purchase',
    table: ({ purchases }) => purchases,
    schema: purchaseSchema,
    newSchema: newPurchaseSchema,
    check: checkPurchases,
    allow: allowPurchase,
    follow: sharePostage,
    remove: deletePurchase,
  }),
};

/** Writes, and takes it back when the records do not fit together any more. */
export function checked<Saved>(
  open: Workshop,
  check: ((workshop: Workshop) => void) | undefined,
  write: () => Saved,
): Saved {
  const work = open.db.transaction(() => {
    const saved = write();
    check?.(open);
    return saved;
  });
  return work.immediate();
}
