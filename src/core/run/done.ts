import type { RunEvent } from './run';

/** What was put on the scale at once, and the lot it was from where that was said. */
export interface WeighedPart {
  massG: number;
  lotId: string | null;
}

/** When a task was over, and what was weighed for it: nothing of what was left out. */
export interface Done {
  at: string;
  massG: number | null;
  /** What makes up the mass, each from its lot. */
  parts: readonly WeighedPart[];
  note: string;
  /** How it stood before more was added or it was corrected; null at first. */
  before: Done | null;
  /** The pour that it was left out with; left out where it was for itself. */
  withPourId?: string;
}

/** What was weighed, with what was said of it later; the moment stays that of its tick. */
export function changed(before: Done, event: Extract<RunEvent, { kind: 'added' | 'corrected' }>): Done {
  return event.kind === 'added'
    ? { ...before, massG: (before.massG ?? 0) + event.massG, parts: [...before.parts, partOf(event)], before }
    : { ...before, massG: event.massG, parts: [partOf(event)], note: event.note ?? before.note, before };
}

export function partOf({ massG, lotId }: { massG: number; lotId?: string | undefined }): WeighedPart {
  return { massG, lotId: lotId ?? null };
}

/** What was ticked at first, where more was said of it since; else null. */
export function tickedAs(record: Done | undefined): number | null {
  let first = record?.before ?? null;
  while (first?.before) first = first.before;
  return first?.massG ?? null;
}
