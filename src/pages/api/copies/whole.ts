import { Readable } from 'node:stream';
import type { APIRoute } from 'astro';
import { problemOf } from '../../../server/endpoint';
import { invalidField } from '../../../server/problem';
import { saveAll, saveOpen } from '../../../server/wholeWorkshop';
import { workshop } from '../../../server/workshop';

/** The whole workshop as one file; with `?in=open-formats` as JSON Lines and CSV. */
export const GET: APIRoute = async ({ url }) => {
  try {
    const open = workshop();
    const form = url.searchParams.get('in');
    if (form !== null && form !== 'open-formats') throw invalidField('in', 'can only be open-formats');
    const stream = form ? await saveOpen(open) : await saveAll(open);
    const name = `idle-tallow-${form ? `${form}-` : ''}${open.now().slice(0, 10)}.zip`;
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
