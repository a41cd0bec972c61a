import type { APIContext, APIRoute } from 'astro';
import { problemOf } from './endpoint';

export interface PdfFile {
  /** Without its ending. */
  name: string;
  bytes: Uint8Array;
}

/** Wraps an endpoint's work whose value is a PDF: as a file of its own name, or its problem as problem details. */
export function pdfEndpoint(work: (context: APIContext) => Promise<PdfFile>): APIRoute {
  return async (context) => {
    try {
      const { name, bytes } = await work(context);
      const plain = name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'labels';
      return new Response(new Uint8Array(bytes), {
        headers: {
          'content-type': 'application/pdf',
          'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${plain}.pdf`)}`,
          'cache-control': 'no-store',
        },
      });
    } catch (error) {
      return problemOf(error, context.request).toResponse();
    }
  };
}
