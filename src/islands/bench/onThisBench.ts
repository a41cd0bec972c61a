/** A run that was opened at this screen, and when it was last. */
interface Opened {
  id: string;
  atMs: number;
}

const KEY = 'tallow.bench.runs';
/** What nobody has opened for so long is no longer made here. */
const KEPT_MS = 24 * 3600 * 1000;
/** More at once than a pair of hands can make. */
const MOST = 6;

/** Ids of the runs that are made at this screen, the last opened first: other screens have hands of their own. */
export function onThisBench(nowMs = Date.now()): string[] {
  return read(nowMs).map(({ id }) => id);
}

export function putOnThisBench(id: string, nowMs = Date.now()): void {
  write([{ id, atMs: nowMs }, ...read(nowMs).filter((each) => each.id !== id)].slice(0, MOST));
}

export function takeOffThisBench(id: string): void {
  write(read(Date.now()).filter((each) => each.id !== id));
}

function write(opened: readonly Opened[]): void {
  localStorage.setItem(KEY, JSON.stringify(opened));
}

function read(nowMs: number): Opened[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    if (!Array.isArray(kept)) return [];
    return kept.filter(
      (each): each is Opened =>
        typeof each?.id === 'string' && typeof each.atMs === 'number' && nowMs - each.atMs < KEPT_MS,
    );
  } catch {
    return [];
  }
}
