import { bestScale } from '../core/checks/scaleFit';
import type { InstrumentCheck } from '../core/run/instrumentCheck';
import { lastCheckBefore } from '../core/run/instrumentCheck';
import type { Quantity } from '../core/run/keptReadings';
import type { Run } from '../core/run/run';
import type { Workshop } from './openWorkshop';
import { idTaken } from './problem';

/**
 * Adds how an instrument stood beside what is known. The caller chooses the id, so that one sent twice is there once.
 *
 * @throws Problem 409 for an id that another check has
 */
export function addInstrumentCheck(
  { db, instrumentChecks, now }: Workshop,
  check: Omit<InstrumentCheck, 'at'>,
): InstrumentCheck {
  const add = db.transaction(() => {
    const known = instrumentChecks.find(check.id);
    if (!known) {
      const added = { ...check, at: now() };
      instrumentChecks.insert(added);
      return added;
    }
    const { at, ...sent } = known;
    if (Object.entries(check).some(([key, value]) => sent[key as keyof typeof sent] !== value))
      throw idTaken('check', check.id);
    return { ...sent, at };
  });
  return add.immediate();
}

/** An instrument that a run was read from, and its last check before that. */
export interface InstrumentOfRun {
  instrument: string;
  quantity: Quantity;
  /** Nobody said so: a weight was typed, and of the house's scales this one reads it best. */
  isAssumed: boolean;
  check: InstrumentCheck | null;
}

export function instrumentsOfRun({ instrumentChecks, readings }: Workshop, run: Run): InstrumentOfRun[] {
  const lastUsed = new Map<string, Omit<InstrumentOfRun, 'check'> & { at: string }>();
  const use = (instrument: string, quantity: Quantity, at: string, isAssumed = false) => {
    const key = `${quantity} ${isAssumed} ${instrument}`;
    const before = lastUsed.get(key)?.at ?? '';
    if (at > before) lastUsed.set(key, { instrument, quantity, isAssumed, at });
  };
  for (const { source, occurredAt, event } of run.events) {
    if (source.instrumentId)
      use(source.instrumentId, event.kind === 'measured' ? 'temperature' : 'mass', occurredAt);
    else if (event.kind === 'weighed' || event.kind === 'added' || event.kind === 'corrected') {
      const scale = bestScale(run.snapshot.rules.scales, event.massG);
      if (scale) use(scale.name, 'mass', occurredAt, true);
    }
  }
  for (const { instrument, quantity, points } of readings.ofRun(run.id))
    use(instrument, quantity, new Date(points.at(-1)?.atMs ?? 0).toISOString());
  const checks = instrumentChecks.latest();
  return [...lastUsed.values()].map(({ at, ...used }) => ({
    ...used,
    check: lastCheckBefore(checks, used.instrument, used.quantity, at),
  }));
}
