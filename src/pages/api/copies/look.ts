import { basename } from 'node:path';
import { z } from '../../../core/zod';
import { copiesOf } from '../../../server/copies';
import { endpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/problem';
import { readJson } from '../../../server/readJson';
import { lookInto, receivedFile } from '../../../server/wholeWorkshop';
import { workshop } from '../../../server/workshop';

const namedSchema = z.strictObject({ name: z.string().min(1).max(200) });

/** What a copy holds: one of the workshop's own by its name, or one that is sent. Nothing is changed. */
export const POST = endpoint(async ({ request }) => {
  const open = workshop();
  const { folder } = open;
  if (folder === null) throw notFound('copy', '');
  const id = open.newId();
  const isNamed = request.headers.get('content-type')?.startsWith('application/json');
  if (!isNamed) {
    const received = await receivedFile(open, request);
    try {
      const { at, holds } = await lookInto(folder, received.path, id);
      return { body: { id, at, holds } };
    } finally {
      received.remove();
    }
  }
  const { name } = await readJson(request, namedSchema);
  const copy = copiesOf(open).find(({ path }) => basename(path) === name);
  if (!copy) throw notFound('copy', name);
  const { at, holds } = await lookInto(folder, copy.path, id);
  return { body: { id, at: at ?? copy.day, holds } };
});
