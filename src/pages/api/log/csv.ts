import { Readable } from 'node:stream';
import type { APIRoute } from 'astro';
import { csvHeaders, csvStyle } from '../../../server/csvAnswer';
import { problemOf } from '../../../server/endpoint';
import { logbookText } from '../../../server/openFormats/csvFiles';
import { invalidField } from '../../../server/problem';
import { turn } from '../../../server/turn';
import { workshop } from '../../../server/workshop';

/** The Logbook as a CSV file: a line a run, or with `?of=weights` a line a weighing. */
export const GET: APIRoute = ({ url }) => {
  try {
    const of = url.searchParams.get('of') ?? 'runs';
    if (of !== 'runs' && of !== 'weights') throw invalidField('of', 'must be one of: runs, weights');
    const text = Readable.from(pieceByPiece(logbookText(workshop(), of, csvStyle(url))));
    return new Response(Readable.toWeb(text) as ReadableStream, {
      headers: csvHeaders(of === 'runs' ? 'logbook' : 'weights'),
    });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};

/** Others are answered between the pieces. */
async function* pieceByPiece(pieces: Iterable<string>): AsyncGenerator<string, void> {
  for (const piece of pieces) {
    yield piece;
    await turn();
  }
}
