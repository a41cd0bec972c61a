import type { APIRoute } from 'astro';
import { sentReadingsSchema } from '../../../../core/run/keptReadingsSchema';
import { readingsCsv } from '../../../../formats/recordCsv';
import { csvHeaders, csvStyle } from '../../../../server/csvAnswer';
import { endpoint, param, problemOf } from '../../../../server/endpoint';
import { readJson } from '../../../../server/readJson';
import { keepReadings, readingsOfRun } from '../../../../server/runReadings';
import { workshop } from '../../../../server/workshop';

/** What instruments showed; with `?as=csv` as a table. */
export const GET: APIRoute = (context) => {
  try {
    const readings = readingsOfRun(workshop(), param(context, 'id'));
    if (context.url.searchParams.get('as') !== 'csv') return Response.json(readings);
    return new Response(readingsCsv(readings, csvStyle(context.url)), { headers: csvHeaders('readings') });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};

export const POST = endpoint(async (context) => {
  const sent = await readJson(context.request, sentReadingsSchema);
  return { status: 201, body: keepReadings(workshop(), param(context, 'id'), sent) };
});
