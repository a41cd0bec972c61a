import { endpoint } from '../../../server/endpoint';
import { keepFile, LARGEST_FILE_BYTES } from '../../../server/files/keepFile';
import { readBytes } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** Keeps a photograph or a document: its bytes are the body. Sent twice, it is there once. */
export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: await keepFile(workshop(), await readBytes(request, LARGEST_FILE_BYTES)),
}));
