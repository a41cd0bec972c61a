import { byName } from '../../core/materials/byName';
import { isDoseable, type Material } from '../../core/materials/material';
import { barsPerCavity, cavitiesOf } from '../../core/molds/bars';
import type { Mold } from '../../core/molds/mold';
import { hasMold, NO_MOLD } from '../../core/molds/noMold';
import { type DraftPour, withIds } from '../../core/plan/ids';
import { type Draft, dose, type Plan } from '../../core/plan/plan';
import { planSchema } from '../../core/plan/planSchema';
import { type PourSize, parsePourSize, writePourSize } from '../../core/plan/pourSize';
import { fail, ok, type Result } from '../../core/result';
import { withMore } from './more';
import type { Found, Recipe, RecipeLine } from './recipe';

/** Why a recipe makes no plan yet; `at` is its line. */
export type RecipeFault =
  | { code: 'unread'; at: number }
  /** Its name is on the shelf several times, or not at all. */
  | { code: 'which'; at: number; name: string }
  | { code: 'not-dosed'; at: number; name: string }
  | { code: 'no-base'; at: number }
  | { code: 'nothing' }
  | { code: 'no-such-mold'; name: string }
  | { code: 'weight-without-mold' }
  | { code: 'settings' };

/** What a recipe leaves open. */
export interface RecipeContext {
  molds: readonly Mold[];
  start: Pick<Plan, 'name' | 'use' | 'moldId' | 'fillFraction' | 'jugLossFraction' | 'leastMeltG'>;
}

/** The plan that a recipe says; the first weight of base is how much of it is made. */
export function planOfRecipe(
  { lines, settings }: Recipe,
  { molds, start }: RecipeContext,
): Result<Plan, RecipeFault[]> {
  const faults: RecipeFault[] = [];
  const pours = poursOf(lines, faults);
  const mold = moldOf(settings.mold, [...molds, NO_MOLD], start.moldId);
  if (!mold) faults.push({ code: 'no-such-mold', name: settings.mold ?? '' });
  const secondMold = settings.secondMold === undefined ? undefined : moldOf(settings.secondMold, molds, '');
  if (settings.secondMold !== undefined && !secondMold)
    faults.push({ code: 'no-such-mold', name: settings.secondMold });
  if (faults.length > 0 || !mold) return fail(faults);
  const [first] = pours;
  const isAlone = pours.length === 1;
  const weight = isAlone ? (first?.amount ?? null) : null;
  const title = lines.find((line) => line.kind === 'title');
  const plan = withIds({
    name: settings.name ?? title?.name ?? start.name,
    use: start.use,
    moldId: mold.id,
    ...(secondMold ? { secondMoldId: secondMold.id } : {}),
    pieces: settings.pieces ?? (hasMold({ mold }) ? cavitiesOf(mold) * barsPerCavity(mold) : 1),
    fillFraction: settings.fill ?? mold.usualFillFraction ?? start.fillFraction,
    jugLossFraction: settings.staysInJug ?? start.jugLossFraction,
    ...leastMelt(settings, start),
    note: '',
    pours: pours.map(({ amount, size, baseId, doses }): DraftPour => {
      const ofBase: PourSize | null = amount && !isAlone ? { by: 'base', baseG: amount.massG } : null;
      return { baseId, size: asWritten(size ?? ofBase ?? { by: 'parts', parts: 1 }), doses };
    }),
    ...(weight
      ? {
          batch: {
            by: 'base' as const,
            ...weight,
            gives:
              settings.pieces === undefined || !hasMold({ mold }) ? ('pieces' as const) : ('fill' as const),
          },
        }
      : {}),
  });
  const whole = withMore({ ...plan, ...(settings.for ? { use: settings.for } : {}) }, settings.more);
  const checked = planSchema.safeParse(whole);
  if (checked.success) return ok(checked.data);
  const needsWeight = checked.error.issues.some(({ message }) => message === 'weight-without-mold');
  return fail([{ code: needsWeight ? 'weight-without-mold' : 'settings' }]);
}

/** Bare lines are a new plan's; a block of settings says what it means. */
function leastMelt(
  settings: Recipe['settings'],
  { leastMeltG }: RecipeContext['start'],
): Pick<Plan, 'leastMeltG'> {
  return leastMeltG === undefined || Object.keys(settings).length > 0 ? {} : { leastMeltG };
}

/** A size to the digits that it is written with, so that it comes back as itself. */
function asWritten(size: PourSize): PourSize {
  const written = parsePourSize(writePourSize(size));
  return written.success ? written.data : size;
}

interface RecipePour {
  baseId: string;
  size: PourSize | null;
  amount: { text: string; massG: number } | null;
  doses: Draft<ReturnType<typeof dose> & { id: string }>[];
}

function poursOf(lines: readonly RecipeLine[], faults: RecipeFault[]): RecipePour[] {
  const pours: RecipePour[] = [];
  let open: RecipePour | null = null;
  /** A pour that was named and has no base yet. */
  let named: PourSize | null | undefined;
  for (const line of lines) {
    const { at } = line;
    if (line.kind === 'unread') faults.push({ code: 'unread', at });
    if (line.kind === 'pour') named = line.size;
    if (line.kind === 'base') {
      const base = theOne(line.found);
      if (!base) faults.push({ code: 'which', at, name: line.name });
      open = { baseId: base?.id ?? '', size: named ?? null, amount: line.amount, doses: [] };
      named = undefined;
      pours.push(open);
    }
    if (line.kind !== 'dose') continue;
    const material = theOne(line.found);
    if (!material) faults.push({ code: 'which', at, name: line.name });
    else if (!isDoseable(material)) faults.push({ code: 'not-dosed', at, name: line.name });
    if (!open || named !== undefined) faults.push({ code: 'no-base', at });
    else
      open.doses.push(
        ...line.parts.map(({ text, laid, isOptional }) => ({
          ...dose(material?.id ?? '', text),
          ...(laid ? { laid } : {}),
          ...(isOptional ? { optional: true as const } : {}),
        })),
      );
  }
  if (pours.length === 0 && faults.length === 0) faults.push({ code: 'nothing' });
  return pours;
}

function theOne(found: Found): Material | null {
  return found.kind === 'called' ? found.material : null;
}

function moldOf(name: string | undefined, molds: readonly Mold[], usualId: string): Mold | undefined {
  if (name === undefined) return molds.find(({ id }) => id === usualId) ?? molds[0];
  const match = byName(molds, name);
  return match.kind === 'called' ? match.item : undefined;
}
