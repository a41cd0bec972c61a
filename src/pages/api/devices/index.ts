import { z } from '../../../core/zod';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { setSharing, sharingState } from '../../../server/sharing';
import { workshop } from '../../../server/workshop';

const switchSchema = z.strictObject({ isOn: z.boolean() });

export const GET = endpoint(() => ({ body: sharingState(workshop()) }));

/** Serves the local network, too, or no more. */
export const PUT = endpoint(async ({ request }) => {
  const { isOn } = await readJson(request, switchSchema);
  return { body: await setSharing(workshop(), isOn) };
});
