import { CSV_LIMITS } from '../../../formats/csv';
import { endpoint } from '../../../server/endpoint';
import { readJsonBytes } from '../../../server/readJson';
import { takeShelf } from '../../../server/shelfInThreads';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: await takeShelf(workshop(), await readJsonBytes(request, CSV_LIMITS.bytes)),
}));
