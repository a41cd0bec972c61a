import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** How a context is made whose page `looksRight` can turn dark: without transitions, which axe would catch half way. */
export const PLAIN_LIGHT = {
  colorScheme: 'light',
  reducedMotion: 'reduce',
  viewport: { width: 1280, height: 800 },
} as const;

/** No page has a frame, so axe need not open a page of its own to put the answers of frames together. */
const axe = (page: Page) =>
  new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .withTags(TAGS)
    .analyze();

/** Axe finds nothing on a page as it stands, by day and by night. */
export async function looksRight(page: Page, where = page.url()) {
  const day = await axe(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  const night = await axe(page);
  await page.emulateMedia({ colorScheme: 'light' });
  expect(
    [...day.violations, ...night.violations].map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`,
    ),
    where,
  ).toEqual([]);
}
