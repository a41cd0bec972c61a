import { CSV_LIMITS } from '../../../formats/csv';
import { CSV_CONTENTS, type CsvContent } from '../../../formats/shelfCsv';
import { csvHeaders, csvStyle } from '../../../server/csvAnswer';
import { endpoint, problemOf } from '../../../server/endpoint';
import { invalidField, Problem } from '../../../server/problem';
import { readBytes } from '../../../server/readJson';
import { shelfText, takeCsv } from '../../../server/shelfInThreads';
import { workshop } from '../../../server/workshop';

/** The materials, the lots or what changed the stock as a CSV file. */
export const GET = async ({ url }: { url: URL }) => {
  try {
    const of = url.searchParams.get('of') === 'stock' ? 'stock' : contentOf(url);
    return new Response(await shelfText(workshop(), of, csvStyle(url)), { headers: csvHeaders(of) });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};

/** Takes a CSV file in: all of its rows, or with `?rows=good` those that can be read. */
export const POST = endpoint(async ({ request, url }) => {
  if (!/^text\/csv\b/i.test(request.headers.get('content-type') ?? ''))
    throw new Problem(415, 'not-csv', 'Send the body as text/csv.');
  const bytes = await readBytes(request, CSV_LIMITS.bytes);
  const goodOnly = url.searchParams.get('rows') === 'good';
  return { status: 201, body: await takeCsv(workshop(), { of: contentOf(url), bytes, goodOnly }) };
});

function contentOf(url: URL): CsvContent {
  const of = CSV_CONTENTS.find((each) => each === url.searchParams.get('of'));
  if (of === undefined) throw invalidField('of', `must be one of: ${CSV_CONTENTS.join(', ')}`);
  return of;
}
