/** One place where two records differ. */
export interface Difference {
  /** Keys and indexes from the root. */
  path: (string | number)[];
  /** undefined where that side has nothing. */
  mine: unknown;
  theirs: unknown;
}

/** Every place where two JSON values differ, leaf by leaf, in the order of `mine`. */
export function differences(mine: unknown, theirs: unknown, path: (string | number)[] = []): Difference[] {
  if (Object.is(mine, theirs)) return [];
  if (!isBranch(mine) || !isBranch(theirs) || Array.isArray(mine) !== Array.isArray(theirs)) {
    return [{ path, mine, theirs }];
  }
  const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
  return [...keys].flatMap((key) =>
    differences(mine[key], theirs[key], [...path, Array.isArray(mine) ? Number(key) : key]),
  );
}

function isBranch(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}
