import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { Mold } from '../core/molds/mold';
import type { Sheet } from '../core/plan/sheet';
import { sectionOf, sectionOfMold } from '../core/section/section';
import { Section } from '../islands/section/Section';

const DRAWN = new WeakMap<Sheet | Mold, Map<string, Buffer>>();
let drawings = 0;

/**
 * A small section of a sheet, or of an empty mold, as markup. What is drawn once is kept as long as its sheet is, as
 * bytes: a text that was put together from thousands of parts takes several times as much.
 *
 * @param of null where there is neither
 */
export function thumbnail(of: { sheet: Sheet } | { mold: Mold } | null, locale: string): string {
  const key = of === null ? null : 'sheet' in of ? of.sheet : of.mold;
  const known = key && DRAWN.get(key)?.get(locale);
  if (known) return known.toString();
  const section = of === null ? null : 'sheet' in of ? sectionOf(of.sheet) : sectionOfMold(of.mold);
  const markup = renderToStaticMarkup(createElement(Section, { section, locale, thumbnail: true }), {
    // Patterns are found by their id, and many drawings stand on one page.
    identifierPrefix: `t${drawings++}`,
  });
  if (key) DRAWN.set(key, (DRAWN.get(key) ?? new Map<string, Buffer>()).set(locale, Buffer.from(markup)));
  return markup;
}
