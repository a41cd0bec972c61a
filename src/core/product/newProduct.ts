import type { LabelRules } from '../label/labelRules';
import type { Product } from './product';

/** A product of one piece of a plan, with a sticker of the house's size. */
export function newProduct(
  plan: { id: string; name: string },
  rules: LabelRules,
  size: { widthMm: number; heightMm: number },
): Omit<Product, 'id'> {
  return {
    name: plan.name.slice(0, LONGEST_NAME),
    form: 'single',
    parts: [{ planId: plan.id, pieces: 1 }],
    packaging: [],
    words: [{ language: 'en', identity: '', directions: '', cautions: '', origin: '' }],
    rules,
    allergenList: '2023-1545',
    good: { by: 'date', months: 12 },
    barcode: null,
    prices: { retail: null, wholesale: null },
    label: { layout: 'sticker', ...size, faceMm2: null, hasQr: false, hasLayers: true, listOn: 'label' },
  };
}

const LONGEST_NAME = 80;
