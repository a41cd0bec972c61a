import { ingredientsOf } from '../core/ingredients/ingredients';
import { packsOf } from '../core/ingredients/packsOf';
import { lastWeightsG } from '../core/inspection/inspection';
import { declarable } from '../core/inspection/netWeight';
import type { LabelPart } from '../core/label/label';
import { isStop, type LabelFault, labelFaults, type WholeLabel } from '../core/label/labelFaults';
import { isUs } from '../core/label/labelRules';
import { makeSheet } from '../core/plan/makeSheet';
import type { Sheet } from '../core/plan/sheet';
import type { Product } from '../core/product/product';
import { logEntry } from '../core/run/logEntry';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import { labelTexts } from '../words/en/label/labelTexts';
import { orNull } from './broken';
import { compute } from './compute/threads';
import { ingredientsOfRun } from './ingredients';
import type { Workshop } from './openWorkshop';
import { planFileOf } from './planFile';

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
  const parts = product.parts.map((part) => labelPart(workshop, product, part, runIds));
  const codes = [...new Set(parts.flatMap(({ run }) => run?.code ?? []))];
  const { layout, widthMm, heightMm, faceMm2, hasQr } = product.label;
  const set = await compute('setLabel', {
    asked: {
      rules: product.rules,
      size: { layout, widthMm, heightMm },
      faceMm2,
      netG: parts.reduce((sum, { netG, pieces }) => sum + (netG ?? 0) * pieces, 0),
      texts: labelTexts(product, parts, rules.maker, locale),
    },
    batchCode: hasQr && codes.length === 1 ? (codes[0] ?? null) : null,
    barcode: product.barcode,
  });
  const faults: LabelFault[] = [...labelFaults(product, parts, rules.maker), ...set.faults];
  return { parts, set, faults, isWhole: !faults.some(isStop) };
}

function labelPart(
  workshop: Workshop,
  { rules }: Product,
  { planId, pieces }: Product['parts'][number],
  runIds: readonly string[],
): LabelPart {
  const [last] = workshop.runs.namesOfPlan(planId, 1);
  const chosen = runIds
    .map((id) => orNull(() => workshop.runs.find(id)))
    .find((run) => run?.planId === planId);
  const run = chosen ?? (last ? orNull(() => workshop.runs.find(last.id)) : null) ?? null;
  if (run && progress(run).ended?.kind === 'finished') return partOfRun(workshop, run, rules, pieces);
  return draftPart(workshop, planId, pieces);
}

function partOfRun(workshop: Workshop, run: Run, rules: Product['rules'], pieces: number): LabelPart {
  const { sheet } = run.snapshot;
  const { inspections } = progress(run);
  const { goodPieces, planName, finishedAt } = logEntry(run);
  const weightsG = lastWeightsG(inspections);
  const net =
    weightsG.length === 0
      ? null
      : declarable(isUs(rules) ? 'us' : 'eu', weightsG, Math.max(goodPieces, weightsG.length)).netG;
  return {
    planId: run.planId,
    planName,
    pieces,
    run: { id: run.id, code: run.code, madeAt: finishedAt },
    netG: net,
    ingredients: ingredientsOfRun(workshop, run),
    isSoap: isSoap(sheet),
  };
}

/** By the plan: what it weighs is planned, and nobody has weighed it. */
function draftPart(workshop: Workshop, planId: string, pieces: number): LabelPart {
  const stored = workshop.plans.newest(planId);
  const plan = stored?.success ? stored.data.plan : null;
  const made = plan && orNull(() => makeSheet(planFileOf(workshop, plan)));
  const sheet = made?.success ? made.data : null;
  const packs =
    sheet && packsOf(sheet, { tasks: [] }, (id) => orNull(() => workshop.materials.find(id))?.item ?? null);
  return {
    planId,
    planName: plan?.name ?? planId,
    pieces,
    run: null,
    netG: sheet ? Math.floor(sheet.totals.pieceG + 1e-9) : null,
    ingredients: packs && ingredientsOf(packs),
    isSoap: sheet === null || isSoap(sheet),
  };
}

function isSoap({ pours }: Sheet): boolean {
  return pours.every(({ base }) => base.baseKind !== 'syndet');
}
