import { expect, type Page } from '@playwright/test';
import axe, { type Result, type RunOptions } from 'axe-core';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** A control is called by what it shows; axe asks that only where it is told to. */
const SAID_AS_SHOWN = { 'label-content-name-mismatch': { enabled: true } };

/** The rules that look at colours: all that a darker page can break. */
const COLOUR_RULES = ['color-contrast', 'link-in-text-block'];

/** Axe finds nothing on a page as it stands, by day and by night. */
export async function looksRight(page: Page, where = page.url()) {
  // An island that was handed over a moment ago may not be drawn yet: every view has its heading.
  await expect(page.locator('h1').first()).toBeAttached();
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const day = await violations(page, TAGS, SAID_AS_SHOWN);
  await page.emulateMedia({ colorScheme: 'dark' });
  const night = await violations(page, COLOUR_RULES);
  await page.emulateMedia({ colorScheme: 'light' });
  expect(
    [...day, ...night].map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`,
    ),
    where,
  ).toEqual([]);
}

/** What axe finds: it stays in the page it was put into, for the next question. */
function violations(page: Page, runOnly: string[], rules: RunOptions['rules'] = {}): Promise<Result[]> {
  const options: RunOptions = { resultTypes: ['violations'], runOnly, rules };
  return page.evaluate(async (wanted) => {
    const { axe } = window as unknown as { axe: { run: typeof import('axe-core').run } };
    return (await axe.run(wanted)).violations;
  }, options);
}
