import { eventSourceSchema, runEventSchema } from '../../../../core/run/run';
import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { readJson } from '../../../../server/readJson';
import { recordEvent } from '../../../../server/runs';
import { workshop } from '../../../../server/workshop';

const recordSchema = z.strictObject({
  eventId: z.uuid(),
  event: runEventSchema,
  /** By the bench's clock; left out, it is now. */
  occurredAt: z.iso.datetime().optional(),
  source: eventSourceSchema.optional(),
});

export const POST = endpoint(async (context) => {
  const { eventId, event, ...about } = await readJson(context.request, recordSchema);
  return { status: 201, body: recordEvent(workshop(), param(context, 'id'), eventId, event, about) };
});
