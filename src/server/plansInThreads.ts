import type { StoredPlan } from '../core/plan/storedPlan';
import type { Met } from '../formats/meeting';
import { anyPlanFileSchema } from '../formats/planFile';
import { compute } from './compute/threads';
import { importSent, type PlanSent } from './importPlan';
import { meetingsOf, recordsHere } from './meeting';
import type { Workshop } from './openWorkshop';
import { parseBytes } from './readJson';

/** What is smaller is soon read: some ten pours with what they are of. */
const SMALL_BYTES = 40_000;

/**
 * Takes a plan file in, all of it or nothing. A large one is read and written in a thread of its own, so that whoever
 * ticks meanwhile does not wait for all of it.
 *
 * @throws Problem 400, 422, or 503 when it takes too long
 */
export async function takePlan(workshop: Workshop, sent: PlanSent): Promise<StoredPlan> {
  const { folder } = workshop;
  if (folder === null || sent.bytes.length <= SMALL_BYTES) return importSent(workshop, sent);
  return await compute('takePlan', { folder, sent });
}

/**
 * What the records of a plan file meet here. Nothing is changed.
 *
 * @throws Problem 400, 422, or 503 when it takes too long
 */
export async function meetPlan(workshop: Workshop, bytes: Uint8Array): Promise<Met[]> {
  const { folder } = workshop;
  if (folder === null || bytes.length <= SMALL_BYTES)
    return meetingsOf(recordsHere(workshop), parseBytes(bytes, anyPlanFileSchema));
  return await compute('meetPlan', { folder, bytes });
}
