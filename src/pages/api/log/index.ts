import { endpoint } from '../../../server/endpoint';
import { logPage } from '../../../server/log';
import { PER_PAGE, pageAsked } from '../../../server/pageAsked';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(async ({ url }) => {
  const offset = (pageAsked(url) - 1) * PER_PAGE;
  const search = (url.searchParams.get('q') ?? '').trim().slice(0, 100);
  return { body: (await logPage(workshop(), { search, offset, limit: PER_PAGE })).items };
});
