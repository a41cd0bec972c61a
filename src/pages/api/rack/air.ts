import { newRackAirSchema } from '../../../core/rack/rackAirSchema';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** The air of the rack as it was read last; null while nobody did. */
export const GET = endpoint(() => ({ body: workshop().rackAir.last() }));

export const POST = endpoint(async ({ request }) => {
  const air = await readJson(request, newRackAirSchema);
  const open = workshop();
  open.rackAir.insert({ ...air, at: open.now() });
  return { status: 201, body: open.rackAir.last() };
});
