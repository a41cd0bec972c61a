/** What the scale showed when the base of each jug was begun, g: its empty jug, or nothing where it was tared. */
type EmptyJugs = Record<string, number>;

const keyOf = (runId: string) => `tallow.jugs.${runId}`;

export function keepEmptyJug(runId: string, baseTaskId: string, massG: number): void {
  localStorage.setItem(keyOf(runId), JSON.stringify({ ...read(runId), [baseTaskId]: massG }));
}

/** null where nothing was read then. */
export function emptyJugG(runId: string, baseTaskId: string): number | null {
  const kept = read(runId)[baseTaskId];
  return typeof kept === 'number' ? kept : null;
}

function read(runId: string): EmptyJugs {
  try {
    return { ...(JSON.parse(localStorage.getItem(keyOf(runId)) ?? '{}') as EmptyJugs) };
  } catch {
    return {};
  }
}
