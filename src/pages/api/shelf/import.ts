import { CSV_LIMITS } from '../../../formats/csv';
import { endpoint } from '../../../server/endpoint';
import { importShelf, shelfImportSchema } from '../../../server/importShelf';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: importShelf(workshop(), await readJson(request, shelfImportSchema, CSV_LIMITS.bytes)),
}));
