import type { APIRoute } from 'astro';
import { recallCsv } from '../../../../formats/recordCsv';
import { csvHeaders, csvStyle } from '../../../../server/csvAnswer';
import { param, problemOf } from '../../../../server/endpoint';
import { traceOfLot } from '../../../../server/trace';
import { workshop } from '../../../../server/workshop';

/** Every batch that holds something of a lot; with `?as=csv` as a recall list. */
export const GET: APIRoute = async (context) => {
  try {
    const trace = await traceOfLot(workshop(), param(context, 'id'));
    if (context.url.searchParams.get('as') !== 'csv') return Response.json(trace);
    return new Response(recallCsv(trace.batches, csvStyle(context.url)), { headers: csvHeaders('recall') });
  } catch (error) {
    return problemOf(error).toResponse();
  }
};
