import type { Dose, Plan, Pour } from '../../core/plan/plan';

/** What lines do not say of a dose; a whole dose where no line can say it. */
type DoseMore = Partial<Pick<Dose, 'wetIn' | 'counts' | 'means'>>;

interface PourMore extends Partial<Pick<Pour, 'way' | 'when' | 'embeds' | 'note'>> {
  /** By the place of the dose. */
  doses?: Record<string, DoseMore>;
  /** Doses that no line says, by their place. */
  unsaid?: Record<string, Omit<Dose, 'id'>>;
}

/** What of a plan its lines and the plain settings do not say. */
export interface More extends Partial<Pick<Plan, 'note' | 'making' | 'seen' | 'batch' | 'leastMeltG'>> {
  /** By the place of the pour. */
  pours?: Record<string, PourMore>;
}

/**
 * A plan with what its settings say more of it. It is read as it comes: what it makes goes through the plan's schema.
 *
 * @param plan its use may be any text
 */
export function withMore(plan: Omit<Plan, 'use'> & { use: string }, more: unknown): unknown {
  if (typeof more !== 'object' || more === null) return plan;
  const { pours = {}, ...rest } = more as More;
  return {
    ...plan,
    ...rest,
    pours: plan.pours.map((pour, place) => {
      const { doses = {}, unsaid = {}, ...ofPour } = pours[place] ?? {};
      return { ...pour, ...ofPour, doses: withUnsaid(pour.doses, doses, unsaid) };
    }),
  };
}

function withUnsaid(
  said: readonly Dose[],
  doses: Record<string, DoseMore>,
  unsaid: Record<string, Omit<Dose, 'id'>>,
) {
  const rest = [...said];
  const all: unknown[] = [];
  for (let place = 0; rest.length > 0 || place in unsaid; place++) {
    const own = unsaid[place];
    const next = own ? { ...own, id: `u${place + 1}` } : rest.shift();
    if (next) all.push({ ...next, ...doses[place] });
  }
  return all;
}
