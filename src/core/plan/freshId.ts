/** What ids begin with: a pour, a dose, what is set in. */
export const ID_PREFIXES = { pour: 'p', dose: 'd', embed: 'e' } as const;
export type IdKind = keyof typeof ID_PREFIXES;

interface MayHaveId {
  id?: string;
}

/** A pour and what is in it, each with its id or without. */
interface Named extends MayHaveId {
  doses: readonly MayHaveId[];
  embeds?: readonly MayHaveId[] | undefined;
}

/** An id that nothing in these pours has: one more than the highest of its kind. */
export function freshId(pours: readonly Named[], kind: IdKind): string {
  const prefix = ID_PREFIXES[kind];
  const highest = idsOf(pours).reduce((most, id) => {
    const [, number] = new RegExp(`^${prefix}(\\d{1,9})$`).exec(id) ?? [];
    return Math.max(most, Number(number ?? 0));
  }, 0);
  return `${prefix}${highest + 1}`;
}

export function idsOf(pours: readonly Named[]): string[] {
  return pours.flatMap(({ id, doses, embeds = [] }) => [
    ...(id === undefined ? [] : [id]),
    ...[...doses, ...embeds].flatMap((each) => each.id ?? []),
  ]);
}
