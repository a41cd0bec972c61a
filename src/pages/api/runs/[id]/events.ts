import { eventSourceSchema, runEventSchema } from '../../../../core/run/run';
import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { readJson } from '../../../../server/readJson';
import { runJson } from '../../../../server/runJson';
import { recordEvent } from '../../../../server/runs';
import { deviceOf } from '../../../../server/sharing';
import { workshop } from '../../../../server/workshop';

const recordSchema = z.strictObject({
  eventId: z.uuid(),
  event: runEventSchema,
  /** By the bench's clock; left out, it is now. */
  occurredAt: z.iso.datetime().optional(),
  source: eventSourceSchema.optional(),
});

export const POST = endpoint(async (context) => {
  const { eventId, event, ...sent } = await readJson(context.request, recordSchema);
  const device = deviceOf(context.request);
  const about = device ? { ...sent, source: { ...sent.source, deviceId: device.id } } : sent;
  const run = recordEvent(workshop(), param(context, 'id'), eventId, event, about);
  return { status: 201, json: await runJson(run) };
});
