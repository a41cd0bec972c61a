/** Rows on a page of a list. */
export const PER_PAGE = 50;
/** Plans on a page, each with its drawing. */
export const PLANS_PER_PAGE = 24;

/** The page that an address asks for with `?page=`, from 1; the first where that can't be read. */
export function pageAsked(url: URL): number {
  const asked = url.searchParams.get('page') ?? '';
  return /^[1-9]\d{0,6}$/.test(asked) ? Number(asked) : 1;
}
