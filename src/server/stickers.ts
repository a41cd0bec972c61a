import { onSheets, overEdgeMm, PAPERS } from '../core/label/labelSheet';
import type { Product } from '../core/product/product';
import { logEntry } from '../core/run/logEntry';
import { orNull } from './broken';
import { compute } from './compute/threads';
import { labelOf } from './labels';
import type { Workshop } from './openWorkshop';
import type { PdfFile } from './pdfAnswer';
import { invalidField, notFound, Problem } from './problem';

const MOST_RUNS = 20;
const MOST_LABELS = 500;
/** On a sheet of 20 by 40. */
const MOST_PLACES = 800;

/** Runs whose labels an address asks for. */
export function runsAsked(url: URL): string[] {
  return url.searchParams.getAll('run').slice(0, MOST_RUNS);
}

/**
 * Which stickers an address asks for: `of` and `count` of each product, and the `first` label that is free.
 *
 * @throws Problem 422 naming what is no whole number
 */
export function stickersAsked({ searchParams }: URL): Pick<Stickers, 'of' | 'first'> {
  const counts = searchParams.getAll('count');
  const of = searchParams
    .getAll('of')
    .map((id, place) => ({ id, count: wholeIn(counts[place] ?? '', 'count', [0, MOST_LABELS]) }));
  return { of, first: wholeIn(searchParams.get('first') ?? '1', 'first', [1, MOST_PLACES]) };
}

function wholeIn(text: string, field: string, [least, most]: readonly [least: number, most: number]): number {
  const figure = /^\d{1,4}$/.test(text.trim()) ? Number(text) : Number.NaN;
  if (figure >= least && figure <= most) return figure;
  throw invalidField(field, `has to be a whole number from ${least} to ${most}`);
}

/** Finished runs that a product's label can be of, of each plan the last first. */
export function runsOfProduct({ runs }: Workshop, { parts }: Product) {
  return parts.flatMap(({ planId }) =>
    runs.namesOfPlan(planId, MOST_RUNS).map((run) => ({ ...run, planId })),
  );
}

/** How many packs the good pieces on the rack make: of each plan's last batch that stands there. */
export function stickersOf({ runs }: Workshop, { parts }: Product): number {
  const onRack = runs.onRack();
  const packs = parts.map(({ planId, pieces }) => {
    const of = onRack.findLast((each) => each.planId === planId);
    const run = of && orNull(() => runs.find(of.id));
    return run ? Math.floor(logEntry(run).goodPieces / pieces) : 0;
  });
  return Math.min(MOST_LABELS, ...packs);
}

function productOf({ products }: Workshop, id: string): Product {
  const stored = products.find(id);
  if (!stored) throw notFound('product', id);
  return stored.item;
}

/**
 * One label as PDF, each of its pieces a page.
 *
 * @throws Problem 404
 */
export async function oneLabel(
  workshop: Workshop,
  id: string,
  runIds: readonly string[],
  locale: string,
): Promise<PdfFile> {
  const product = productOf(workshop, id);
  const { set } = await labelOf(workshop, product, runIds, locale);
  const pages = set.pieces.map((piece) => ({
    widthMm: piece.widthMm,
    heightMm: piece.heightMm,
    pieces: [{ piece, xMm: 0, yMm: 0 }],
  }));
  return {
    name: product.name,
    bytes: await compute('labelPdf', { pages, title: product.name, outlines: false }),
  };
}

export interface Stickers {
  /** Product and how many of it. */
  of: { id: string; count: number }[];
  first: number;
  runIds: readonly string[];
}

/**
 * Labels of one or several products on the house's sheets of stickers, as PDF.
 *
 * @throws Problem 404; 422 where none is asked for, too many are, a label is larger than the sheet's, or the sheet than its paper
 */
export async function stickerSheets(
  workshop: Workshop,
  { of, first, runIds }: Stickers,
  locale: string,
): Promise<Uint8Array> {
  const { labelSheet } = workshop.rules();
  const all = of.reduce((sum, { count }) => sum + count, 0);
  if (all < 1 || all > MOST_LABELS)
    throw invalidField('count', `has to come to 1 to ${MOST_LABELS} labels in all`);
  if (overEdgeMm(labelSheet) > 0.05)
    throw new Problem(
      422,
      'sheet-over-paper',
      'The labels of the sheet reach over its paper: see “Sheets of stickers” in the house rules.',
    );
  const labels = [];
  for (const { id, count } of of) {
    if (count === 0) continue;
    const product = productOf(workshop, id);
    const { set } = await labelOf(workshop, product, runIds, locale);
    const tooLarge = set.pieces.find(
      ({ widthMm, heightMm }) =>
        widthMm > labelSheet.labelWidthMm + 0.05 || heightMm > labelSheet.labelHeightMm + 0.05,
    );
    if (tooLarge)
      throw new Problem(
        422,
        'label-over-sheet',
        `The label of “${product.name}” is ${tooLarge.widthMm} × ${tooLarge.heightMm} mm, and those of the sheet are ${labelSheet.labelWidthMm} × ${labelSheet.labelHeightMm} mm. Make it smaller, or say in the house rules which sheets you have.`,
      );
    for (let each = 0; each < count; each++) labels.push(...set.pieces);
  }
  const paper = PAPERS[labelSheet.paper];
  const pages = onSheets(labels, labelSheet, first).map((pieces) => ({ ...paper, pieces: pieces ?? [] }));
  return compute('labelPdf', { pages, title: 'Labels', outlines: true });
}
