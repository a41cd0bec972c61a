import type { APIRoute } from 'astro';
import { param, problemOf } from '../../../../server/endpoint';
import { pdfAnswer } from '../../../../server/pdfAnswer';
import { preferencesOf } from '../../../../server/preferences';
import { oneLabel } from '../../../../server/stickers';
import { workshop } from '../../../../server/workshop';

export const GET: APIRoute = async (context) => {
  try {
    const { locale } = preferencesOf(context.request, context.cookies).showing;
    const runs = context.url.searchParams.getAll('run').slice(0, 20);
    const { name, bytes } = await oneLabel(workshop(), param(context, 'id'), runs, locale);
    return pdfAnswer(name, bytes);
  } catch (error) {
    return problemOf(error, context.request).toResponse();
  }
};
