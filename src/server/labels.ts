import { lastWeightsG } from '../core/inspection/inspection';
import { declarable } from '../core/inspection/netWeight';
import type { LabelPart } from '../core/label/label';
import { isStop, type LabelFault, labelFaults, type WholeLabel } from '../core/label/labelFaults';
import { isUs } from '../core/label/labelRules';
import { layersOf } from '../core/label/layerStripe';
import type { Sheet } from '../core/plan/sheet';
import type { Product } from '../core/product/product';
import { logEntry } from '../core/run/logEntry';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import { labelTexts } from '../words/en/label/labelTexts';
import { compute } from './compute/threads';
import { ingredientsOfPlan, ingredientsOfRun } from './ingredients';
import type { Workshop } from './openWorkshop';
import { type SoldPart, soldParts } from './soldParts';

/**
 * The label of a product by runs, or by its plans where there is none.
 *
 * @param runIds that were chosen; of a plan without one, its last finished run
 */
export async function labelOf(
  workshop: Workshop,
  product: Product,
  runIds: readonly string[],
  locale: string,
): Promise<WholeLabel> {
  const rules = workshop.rules();
  const parts = labelParts(workshop, product, runIds);
  const codes = [...new Set(parts.flatMap(({ run }) => run?.code ?? []))];
  const { layout, widthMm, heightMm, faceMm2, hasQr, hasLayers } = product.label;
  const set = await compute('setLabel', {
    asked: {
      rules: product.rules,
      size: { layout, widthMm, heightMm },
      faceMm2,
      netG: parts.reduce((sum, { netG, pieces }) => sum + (netG ?? 0) * pieces, 0),
      texts: labelTexts(product, parts, rules.maker, locale),
      layers: hasLayers ? parts.map(({ layers }) => layers) : [],
    },
    batchCode: hasQr && codes.length === 1 ? (codes[0] ?? null) : null,
    barcode: product.barcode,
  });
  const faults: LabelFault[] = [...labelFaults(product, parts, rules.maker, labelDay()), ...set.faults];
  return { parts, set, faults, isWhole: !faults.some(isStop) };
}

/** What each plan's pieces bring to the label of a product. */
export function labelParts(workshop: Workshop, product: Product, runIds: readonly string[]): LabelPart[] {
  return soldParts(workshop, product, runIds).map((part) => labelPart(workshop, product, part));
}

/** The day of a label, as year, month and day. */
export function labelDay(): string {
  return new Date().toISOString().slice(0, 10);
}

function labelPart(
  workshop: Workshop,
  { rules, allergenList }: Product,
  { planId, planName, pieces, run, sheet }: SoldPart,
): LabelPart {
  const common = {
    ...{ planId, planName, pieces, isSoap: sheet === null || isSoap(sheet) },
    layers: sheet ? layersOf(sheet) : [],
  };
  if (run)
    return {
      ...common,
      run: { id: run.id, code: run.code, madeAt: logEntry(run).finishedAt },
      netG: netOfRun(run, rules),
      ingredients: ingredientsOfRun(workshop, run, allergenList),
    };
  return {
    ...common,
    run: null,
    // What it weighs is planned, and nobody has weighed it.
    netG: sheet && Math.floor(sheet.totals.pieceG + 1e-9),
    ingredients: sheet && ingredientsOfPlan(workshop, sheet, allergenList),
  };
}

/** What can be declared of each piece of a run, in whole grams; null where none was weighed. */
function netOfRun(run: Run, rules: Product['rules']): number | null {
  const weightsG = lastWeightsG(progress(run).inspections);
  if (weightsG.length === 0) return null;
  const batch = Math.max(logEntry(run).goodPieces, weightsG.length);
  return declarable(isUs(rules) ? 'us' : 'eu', weightsG, batch).netG;
}

function isSoap({ pours }: Sheet): boolean {
  return pours.every(({ base }) => base.baseKind !== 'syndet');
}
