import type { Embed } from './embed';
import { ID_PREFIXES, type IdKind, idsOf } from './freshId';
import type { Dose, Draft, Plan, Pour } from './plan';

/** A pour whose own id, and those of what is in it, may be missing. */
export type DraftPour = Draft<Omit<Pour, 'doses' | 'embeds'>> & {
  id?: string;
  doses: (Draft<Dose> & { id?: string })[];
  embeds?: (DraftEmbed & { id?: string })[] | undefined;
};
export type DraftEmbed = Embed extends infer Each ? (Each extends Embed ? Omit<Each, 'id'> : never) : never;
export type DraftPlan = Omit<Plan, 'pours'> & { pours: DraftPour[] };

/** The plan with an id for everything that has none; what has one keeps it. */
export function withIds(plan: DraftPlan): Plan {
  const taken = new Set(idsOf(plan.pours));
  const counts: Record<IdKind, number> = { pour: 0, dose: 0, embed: 0 };
  const next = (kind: IdKind) => {
    let id: string;
    do id = `${ID_PREFIXES[kind]}${++counts[kind]}`;
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
