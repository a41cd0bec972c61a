import { fail, ok, type Result } from '../result';
import { GOODS_USES, type GoodsUse, type StockEntry, sumOfEntries } from '../stock/stock';
import { minorUnitsOf } from '../units/money';
import type { z } from '../zod';
import type { goodsEditSchema, packingSchema } from './goodsSchema';

export type Packing = z.infer<typeof packingSchema>;
export type GoodsEdit = z.infer<typeof goodsEditSchema>;

/** Packs that stand somewhere; null for the workshop itself. */
export interface PacksThere {
  place: string | null;
  packs: number;
}

/** What an entry says, before it has an id. */
export type GoodsChange = Pick<StockEntry, 'kind' | 'change' | 'standsAt' | 'paid'>;

export type GoodsFault =
  /** So many are there, which is fewer. */
  | { code: 'fewer-there'; place: string | null; packs: number }
  /** So many left the workshop, which is fewer than come back. */
  | { code: 'fewer-gone'; packs: number }
  /** Some of them came back since. */
  | { code: 'came-back' }
  | { code: 'same-place' };

/** Where the packs of a lot stand: in the workshop first, then by name. */
export function packsByPlace(entries: readonly Pick<StockEntry, 'change' | 'standsAt'>[]): PacksThere[] {
  const sums = new Map<string | null, number>();
  for (const { change, standsAt = null } of entries) sums.set(standsAt, (sums.get(standsAt) ?? 0) + change);
  return [...sums]
    .map(([place, packs]) => ({ place, packs }))
    .filter(({ packs }) => packs !== 0)
    .sort(
      (a, b) =>
        Number(a.place !== null) - Number(b.place !== null) || (a.place ?? '').localeCompare(b.place ?? ''),
    );
}

/** How many packs entries of a kind brought; below zero, took. What was taken back counts as not there. */
export function packsOf(
  entries: readonly Pick<StockEntry, 'kind' | 'change'>[],
  kind: StockEntry['kind'],
): number {
  return sumOfEntries(entries.filter((entry) => entry.kind === kind));
}

/** How many packs each kind of entry brought or took, in the order of their kinds; none that come to nothing. */
export function becameOf(
  entries: readonly Pick<StockEntry, 'kind' | 'change'>[],
): { kind: 'made' | GoodsUse; packs: number }[] {
  return (['made', ...GOODS_USES] as const).flatMap((kind) => {
    const packs = Math.abs(packsOf(entries, kind));
    return packs === 0 ? [] : [{ kind, packs }];
  });
}

/** What left the workshop and may come back. */
const GOES = ['sold', 'given', 'sampled'] as const;

/**
 * The entries that tell of what became of packs.
 *
 * @param entries of their lot, up to now
 */
export function goodsChanges(
  edit: GoodsEdit,
  entries: readonly StockEntry[],
): Result<GoodsChange[], GoodsFault> {
  const { kind, packs } = edit;
  if (kind === 'moved') {
    if (edit.from === edit.to) return fail({ code: 'same-place' });
    const there = packsThere(entries, edit.from);
    if (there < packs) return fail({ code: 'fewer-there', place: edit.from, packs: there });
    return ok([at(edit.from, { kind, change: -packs }), at(edit.to, { kind, change: packs })]);
  }
  if (kind === 'returned') {
    const gone = packsGone(entries);
    if (gone < packs) return fail({ code: 'fewer-gone', packs: gone });
    return ok([at(edit.place, { kind, change: packs, ...paidOf(edit) })]);
  }
  const there = packsThere(entries, edit.place);
  if (there < packs) return fail({ code: 'fewer-there', place: edit.place, packs: there });
  return ok([at(edit.place, { kind, change: -packs, ...paidOf(edit) })]);
}

/**
 * The entries that take others back: the same with the other sign.
 *
 * @param entries of the lot, up to now
 */
export function takenBack(
  done: readonly StockEntry[],
  entries: readonly StockEntry[],
): Result<GoodsChange[], GoodsFault> {
  const changes = done.map(({ kind, change, standsAt = null }) => at(standsAt, { kind, change: -change }));
  for (const { change, standsAt = null } of changes) {
    const there = packsThere(entries, standsAt);
    if (there + change < 0) return fail({ code: 'fewer-there', place: standsAt, packs: there });
  }
  return packsGone([...entries, ...changes]) < 0 ? fail({ code: 'came-back' }) : ok(changes);
}

/** What became of packs of a lot at one time. */
export interface Act {
  id: string;
  entries: StockEntry[];
  /** It takes another back. */
  isBack: boolean;
  /** It takes nothing back, and was not taken back. */
  isOpen: boolean;
}

const BACK = 'back ';

/** The act that takes another back. */
export function backOf(actId: string): string {
  return `${BACK}${actId}`;
}

/** The act that an entry belongs to, or that it takes back. */
export function actOf({ owner }: Pick<StockEntry, 'owner'>): string | null {
  if (owner?.kind !== 'act') return null;
  return owner.id.startsWith(BACK) ? owner.id.slice(BACK.length) : owner.id;
}

/** The acts that entries tell of, in their order. */
export function actsOf(entries: readonly StockEntry[]): Act[] {
  const acts = new Map<string, StockEntry[]>();
  for (const entry of entries)
    if (entry.owner?.kind === 'act') acts.set(entry.owner.id, [...(acts.get(entry.owner.id) ?? []), entry]);
  return [...acts].map(([id, own]) => ({
    id,
    entries: own,
    isBack: id.startsWith(BACK),
    isOpen: !id.startsWith(BACK) && !acts.has(backOf(id)),
  }));
}

/** What packs were sold for, and how many of them. */
export interface Takings {
  /** What was paid, less what was paid back, minor units. */
  minor: number;
  packs: number;
  /** Of these nobody said what was paid. */
  unpriced: number;
}

/** What packs of a lot were sold for, without what was taken back. */
export function takingsOf(entries: readonly StockEntry[]): Takings {
  const takings: Takings = { minor: 0, packs: 0, unpriced: 0 };
  for (const { kind, change, paid } of actsOf(entries).flatMap((act) => (act.isOpen ? act.entries : []))) {
    const minor = paid === undefined ? 0 : minorUnitsOf(paid);
    if (kind === 'returned') takings.minor -= minor;
    if (kind !== 'sold') continue;
    takings.minor += minor;
    takings.packs -= change;
    if (paid === undefined) takings.unpriced -= change;
  }
  return takings;
}

/** Packs that left and did not come back. */
function packsGone(entries: readonly Pick<StockEntry, 'kind' | 'change'>[]): number {
  return -GOES.reduce((sum, each) => sum + packsOf(entries, each), packsOf(entries, 'returned'));
}

function packsThere(entries: readonly StockEntry[], place: string | null): number {
  return packsByPlace(entries).find((there) => there.place === place)?.packs ?? 0;
}

function at(place: string | null, change: Omit<GoodsChange, 'standsAt'>): GoodsChange {
  return place === null ? change : { ...change, standsAt: place };
}

function paidOf(edit: GoodsEdit): Pick<GoodsChange, 'paid'> {
  return 'paid' in edit && edit.paid !== undefined ? { paid: edit.paid } : {};
}
