import { param } from '../../../../server/endpoint';
import { pdfEndpoint } from '../../../../server/pdfAnswer';
import { preferencesOf } from '../../../../server/preferences';
import { oneLabel, runsAsked } from '../../../../server/stickers';
import { workshop } from '../../../../server/workshop';

export const GET = pdfEndpoint((context) => {
  const { locale } = preferencesOf(context.request, context.cookies).showing;
  return oneLabel(workshop(), param(context, 'id'), runsAsked(context.url), locale);
});
