import { pdfEndpoint } from '../../../server/pdfAnswer';
import { preferencesOf } from '../../../server/preferences';
import { runsAsked, stickerSheets, stickersAsked } from '../../../server/stickers';
import { workshop } from '../../../server/workshop';

export const GET = pdfEndpoint(async ({ request, cookies, url }) => {
  const { locale } = preferencesOf(request, cookies).showing;
  const asked = { ...stickersAsked(url), runIds: runsAsked(url) };
  return { name: 'Labels', bytes: await stickerSheets(workshop(), asked, locale) };
});
