import { type Browser, expect, type Locator, type Page } from '@playwright/test';

/** The ways of working a page that are not a pointer's: each does the same three things its own way. */
export const HANDS = ['touch', 'keyboard'] as const;
export type HandName = (typeof HANDS)[number];

export interface Hand {
  page: Page;
  press(what: Locator): Promise<void>;
  write(into: Locator, text: string): Promise<void>;
  /** The option whose name begins so. */
  choose(from: Locator, name: string): Promise<void>;
}

/** A page worked in one of the ways: on a desk by keys, on a tablet by touch. */
export async function handOf(name: HandName, browser: Browser): Promise<Hand> {
  const isTouch = name === 'touch';
  const context = await browser.newContext({
    hasTouch: isTouch,
    viewport: isTouch ? { width: 1024, height: 768 } : { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  return isTouch ? finger(page) : keyboard(page);
}

function finger(page: Page): Hand {
  return {
    page,
    press: (what) => what.tap(),
    write: (into, text) => into.fill(text),
    async choose(from, wanted) {
      const option = from
        .locator('option')
        .filter({ hasText: new RegExp(`^${escaped(wanted)}`) })
        .first();
      await from.selectOption((await option.getAttribute('value')) ?? '');
    },
  };
}

function keyboard(page: Page): Hand {
  return {
    page,
    async press(what) {
      // What can't be pressed can't be reached by key either: a person waits for it, as a pointer does here.
      await expect(what).toBeEnabled();
      await what.focus();
      const isBox = (await what.getAttribute('type')) === 'checkbox';
      await page.keyboard.press(isBox ? 'Space' : 'Enter');
    },
    async write(into, text) {
      await into.focus();
      await page.keyboard.press('Control+a');
      await page.keyboard.type(text);
    },
    async choose(from, wanted) {
      await from.focus();
      await page.keyboard.type(wanted);
      // A slow page hears the first letters as another name; then the arrows find it, as they do for a person.
      for (let steps = await stepsTo(from, wanted); steps !== 0; steps -= Math.sign(steps))
        await page.keyboard.press(steps > 0 ? 'ArrowDown' : 'ArrowUp');
    },
  };
}

/** How many options the wanted one is below the chosen one. */
function stepsTo(from: Locator, wanted: string): Promise<number> {
  return from.evaluate((select: HTMLSelectElement, name) => {
    const options = [...select.options];
    const isWanted = (option: HTMLOptionElement | undefined) => option?.text.startsWith(name) === true;
    if (isWanted(options[select.selectedIndex])) return 0;
    return options.findIndex(isWanted) - select.selectedIndex;
  }, wanted);
}

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
