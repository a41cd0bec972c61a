import type { Embed } from './embed';
import type { Dose, Draft, Plan, Pour } from './plan';

/** What ids begin with: a pour, a dose, what is set in. */
const PREFIXES = { pour: 'p', dose: 'd', embed: 'e' } as const;
type Kind = keyof typeof PREFIXES;

/** A pour whose own id, and those of what is in it, may be missing. */
export type DraftPour = Draft<Omit<Pour, 'doses' | 'embeds'>> & {
  id?: string;
  doses: (Draft<Dose> & { id?: string })[];
  embeds?: (DraftEmbed & { id?: string })[] | undefined;
};
export type DraftEmbed = Embed extends infer Each ? (Each extends Embed ? Omit<Each, 'id'> : never) : never;
export type DraftPlan = Omit<Plan, 'pours'> & { pours: DraftPour[] };

/** An id that nothing in these pours has: one more than the highest of its kind. */
export function freshId(pours: readonly DraftPour[], kind: Kind): string {
  const prefix = PREFIXES[kind];
  const highest = idsOf(pours).reduce((most, id) => {
    const [, number] = new RegExp(`^${prefix}(\\d{1,9})$`).exec(id) ?? [];
    return Math.max(most, Number(number ?? 0));
  }, 0);
  return `${prefix}${highest + 1}`;
}

/** The plan with an id for everything that has none; what has one keeps it. */
export function withIds(plan: DraftPlan): Plan {
  const taken = new Set(idsOf(plan.pours));
  const counts: Record<Kind, number> = { pour: 0, dose: 0, embed: 0 };
  const next = (kind: Kind) => {
    let id: string;
    do id = `${PREFIXES[kind]}${++counts[kind]}`;
    while (taken.has(id));
    return id;
  };
  return {
    ...plan,
    pours: plan.pours.map(
      ({ embeds, ...pour }): Pour => ({
        ...pour,
        id: pour.id ?? next('pour'),
        doses: pour.doses.map((dose) => ({ ...dose, id: dose.id ?? next('dose') })),
        ...(embeds ? { embeds: embeds.map((embed) => ({ ...embed, id: embed.id ?? next('embed') })) } : {}),
      }),
    ),
  };
}

function idsOf(pours: readonly DraftPour[]): string[] {
  return pours.flatMap(({ id, doses, embeds = [] }) => [
    ...(id === undefined ? [] : [id]),
    ...[...doses, ...embeds].flatMap((each) => each.id ?? []),
  ]);
}
