import type { z } from '../zod';
import type { countedSchema, quantitySchema, singleSchema } from './quantitySchema';

export type Counted = z.infer<typeof countedSchema>;

/** What comes to one figure. */
export type SingleQuantity = z.infer<typeof singleSchema>;

export type Quantity = z.infer<typeof quantitySchema>;

export type QuantityKind = Quantity['kind'];

/** The figure of a quantity, in its own unit: grams, millilitres, drops … */
export function sizeOf(amount: Counted): number {
  switch (amount.kind) {
    case 'mass':
      return amount.massG;
    case 'volume':
      return amount.volumeMl;
    case 'drops':
      return amount.drops;
    case 'blocks':
      return amount.blocks;
    case 'scoops':
      return amount.scoops;
    case 'capsules':
      return amount.capsules;
  }
}

/** The figure of what comes to one, whatever it is said of: grams, drops for a gram of base, a fraction, a factor. */
export function figureOf(quantity: SingleQuantity): number {
  switch (quantity.kind) {
    case 'perPiece':
    case 'perBase':
      return sizeOf(quantity.amount);
    case 'ofBase':
      return quantity.fractionOfBase;
    case 'volumePerBase':
      return quantity.mlPerBaseG;
    case 'dropsPerBase':
      return quantity.dropsPerBaseG;
    case 'blocksPerBase':
      return quantity.blocksPerBaseG;
    case 'times':
      return quantity.factor;
    default:
      return sizeOf(quantity);
  }
}

/** The same kind of amount of another size. */
export function amountOf(kind: Counted['kind'], size: number): Counted {
  switch (kind) {
    case 'mass':
      return { kind, massG: size };
    case 'volume':
      return { kind, volumeMl: size };
    case 'drops':
      return { kind, drops: size };
    case 'blocks':
      return { kind, blocks: size };
    case 'scoops':
      return { kind, scoops: size };
    case 'capsules':
      return { kind, capsules: size };
  }
}

const SHARES: ReadonlySet<QuantityKind> = new Set([
  'ofBase',
  'volumePerBase',
  'dropsPerBase',
  'blocksPerBase',
  'perBase',
]);

/** True for what grows with the base by itself. */
export function isShare(quantity: Quantity): boolean {
  return SHARES.has(quantity.kind === 'range' ? quantity.least.kind : quantity.kind);
}

const COUNTED: ReadonlySet<string> = new Set(['mass', 'volume', 'drops', 'blocks', 'scoops', 'capsules']);

/** True for an amount that stands for itself, however much base there is. */
export function isCounted(quantity: Quantity): quantity is Counted {
  return COUNTED.has(quantity.kind);
}
