import type { APIRoute } from 'astro';
import { problemOf } from '../../../server/endpoint';
import { pdfAnswer } from '../../../server/pdfAnswer';
import { preferencesOf } from '../../../server/preferences';
import { invalidField } from '../../../server/problem';
import { stickerSheets } from '../../../server/stickers';
import { workshop } from '../../../server/workshop';

/** A whole number of an address, from 0. */
function wholeIn(text: string | null, field: string, most: number): number {
  if (text === null || !/^\d{1,4}$/.test(text.trim()) || Number(text) > most)
    throw invalidField(field, `has to be a whole number up to ${most}`);
  return Number(text);
}

export const GET: APIRoute = async ({ request, cookies, url }) => {
  try {
    const { locale } = preferencesOf(request, cookies).showing;
    const counts = url.searchParams.getAll('count');
    const of = url.searchParams
      .getAll('of')
      .map((id, place) => ({ id, count: wholeIn(counts[place] ?? null, 'count', 500) }));
    const first = wholeIn(url.searchParams.get('first') ?? '1', 'first', 800);
    const runIds = url.searchParams.getAll('run').slice(0, 20);
    return pdfAnswer('Labels', await stickerSheets(workshop(), { of, first, runIds }, locale));
  } catch (error) {
    return problemOf(error, request).toResponse();
  }
};
