import type { APIRoute } from 'astro';
import { problemOf } from '../../../server/endpoint';
import { findFile } from '../../../server/files/keepFile';
import { workshop } from '../../../server/workshop';

const TYPES = { jpeg: 'image/jpeg', png: 'image/png', pdf: 'application/pdf' } as const;

/** A kept file. Under its hash it is the same for ever. */
export const GET: APIRoute = async ({ params, request }) => {
  try {
    const { file, bytes } = await findFile(workshop(), params.hash ?? '');
    return new Response(bytes, {
      headers: {
        'content-type': TYPES[file.kind],
        'content-disposition': `inline; filename="${file.hash.slice(0, 12)}.${file.kind === 'jpeg' ? 'jpg' : file.kind}"`,
        'cache-control': 'private, max-age=31536000, immutable',
        'x-content-type-options': 'nosniff',
        // A document runs nothing.
        'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      },
    });
  } catch (error) {
    return problemOf(error, request).toResponse();
  }
};
