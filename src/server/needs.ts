import { scalePlan } from '../core/plan/scalePlan';
import type { Sheet } from '../core/plan/sheet';
import { type Need, needOf } from '../core/stock/need';
import { freeOf } from '../core/stock/stock';
import type { Workshop } from './openWorkshop';
import { moldsOf } from './planFile';
import { planView, type ViewContext } from './views';

/** Pieces of another plan that have to be made first. */
export interface MadeAhead {
  planId: string;
  name: string;
  pieces: number;
}

export interface AllNeeds {
  needs: Need[];
  madeAhead: MadeAhead[];
}

/**
 * What a sheet takes off the shelf, with what the pieces of other plans take that are set into it, and into those.
 * Pieces whose plan is gone, makes no piece or is set into itself are left out; the plan's own checks name them.
 */
export async function allNeeds(workshop: Workshop, sheet: Sheet, context: ViewContext): Promise<AllNeeds> {
  const all: AllNeeds = { needs: needOf(sheet), madeAhead: [] };
  for (const embed of setInOfPlans(sheet)) {
    const pieceG = context.pieces.of(embed.id)?.pieceG ?? null;
    const stored = workshop.plans.version(embed.id);
    const molds = stored && moldsOf(workshop, stored.plan);
    if (pieceG === null || !molds) continue;
    const onShelf = Math.max(0, freeOf(workshop.lots.stockOf(embed.id)));
    const pieces = Math.ceil(embed.massG / pieceG - onShelf - 1e-9);
    if (pieces <= 0) continue;
    const { sheet: asPlanned } = await planView(workshop, stored, context);
    const made = await planView(
      workshop,
      { ...stored, plan: scalePlan(stored.plan, pieces, molds, asPlanned) },
      context,
    );
    if (!made.sheet) continue;
    const inner = await allNeeds(workshop, made.sheet, context);
    all.madeAhead.push({ planId: embed.id, name: embed.name, pieces }, ...inner.madeAhead);
    all.needs.push(...inner.needs);
  }
  return all;
}

/** What is set in of each plan, over all pours: what is on the shelf counts once. */
function setInOfPlans({ pours }: Sheet): { id: string; name: string; massG: number }[] {
  const sums = new Map<string, { id: string; name: string; massG: number }>();
  for (const { id, name, kind, massG } of pours.flatMap(({ embeds }) => embeds)) {
    if (kind !== 'plan') continue;
    sums.set(id, { id, name, massG: massG + (sums.get(id)?.massG ?? 0) });
  }
  return [...sums.values()];
}
