import { Readable } from 'node:stream';
import type { APIRoute } from 'astro';
import { problemOf } from '../../../server/endpoint';
import { saveAll } from '../../../server/wholeWorkshop';
import { workshop } from '../../../server/workshop';

/** The whole workshop as one file. */
export const GET: APIRoute = async () => {
  try {
    const open = workshop();
    const stream = await saveAll(open);
    const name = `idle-tallow-${open.now().slice(0, 10)}.zip`;
    return new Response(Readable.toWeb(Readable.from(stream)) as ReadableStream, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};
