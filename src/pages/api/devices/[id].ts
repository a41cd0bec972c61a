import { z } from '../../../core/zod';
import { endpoint, param } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { removeDevice, setDevice } from '../../../server/sharing';
import { workshop } from '../../../server/workshop';

const deviceSchema = z.strictObject({ may: z.enum(['bench', 'all']) });

export const PUT = endpoint(async (context) => {
  const { may } = await readJson(context.request, deviceSchema);
  return { body: setDevice(workshop(), param(context, 'id'), may) };
});

export const DELETE = endpoint((context) => ({ body: removeDevice(workshop(), param(context, 'id')) }));
