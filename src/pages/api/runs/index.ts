import { z } from '../../../core/zod';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { runsJson } from '../../../server/runJson';
import { startedRun } from '../../../server/runsInThreads';
import { workshop } from '../../../server/workshop';

const startSchema = z.strictObject({
  id: z.uuid(),
  planId: z.string().min(1).max(64),
  /** So many pieces only, to try the plan with. */
  trialPieces: z.int().min(1).max(10_000_000).optional(),
});

export const GET = endpoint(async () => ({ json: await runsJson(workshop().runs.open().items) }));

export const POST = endpoint(async ({ request }) => {
  const { id, planId, trialPieces = null } = await readJson(request, startSchema);
  return { status: 201, json: await startedRun(workshop(), id, planId, trialPieces) };
});
