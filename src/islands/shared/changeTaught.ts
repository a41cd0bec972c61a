import type { Taught } from '../../core/heat/taught';
import type { Jug } from '../../core/houseRules/houseRules';
import type { Mold } from '../../core/molds/mold';
import { fail, ok, type Result } from '../../core/result';
import { callApi } from './api';
import type { StoredItem } from './saveQueue';

/** Whose heat is learnt. */
export type Pupil = { kind: 'jug' | 'mold'; id: string };

export type TaughtAnswer = { kind: 'jug'; item: Jug } | { kind: 'mold'; item: Mold };

/** Changes what a jug or a mold was taught, on the record as it is now; answers the record, or what went wrong. */
export async function changeTaught(
  { kind, id }: Pupil,
  change: (taught: Taught[]) => Taught[],
): Promise<Result<TaughtAnswer, string>> {
  const address = `/api/${kind}s/${encodeURIComponent(id)}`;
  const now = await callApi<StoredItem<Jug | Mold>>('GET', address);
  if (!now.success) return fail(now.error.detail);
  const { item, revision } = now.data;
  const saved = await callApi<StoredItem<Jug | Mold>>('PUT', address, {
    item: { ...item, taught: change(item.taught) },
    revision,
  });
  return saved.success ? ok({ kind, item: saved.data.item } as TaughtAnswer) : fail(saved.error.detail);
}

/** So many figures are kept, the newest. */
const MOST_KEPT = 20;

export function withLesson(taught: readonly Taught[], lesson: Taught): Taught[] {
  return [...taught, lesson].slice(-MOST_KEPT);
}
