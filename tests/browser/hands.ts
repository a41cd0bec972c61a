import { type Browser, expect, type Locator, type Page } from '@playwright/test';

/** The ways of working a page that are not a pointer's: each does the same three things its own way. */
export const HANDS = ['touch', 'keyboard'] as const;
export type HandName = (typeof HANDS)[number];

export interface Hand {
  page: Page;
  press(what: Locator): Promise<void>;
  /** Twice at once, as by mistake. */
  pressTwice(what: Locator): Promise<void>;
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
    pressTwice: (what) => what.dblclick(),
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
    async pressTwice(what) {
      await expect(what).toBeEnabled();
      await what.focus();
      await page.keyboard.press('Enter');
      await page.keyboard.press('Enter');
    },
    async write(into, text) {
      await into.focus();
      await page.keyboard.press('Control+a');
      await page.keyboard.type(text);
    },
    async choose(from, wanted) {
      await from.focus();
      // By the arrows, which open it: what is typed at a slow pace is heard as one name after the other.
      await page.keyboard.press('ArrowDown');
      for (let steps = await stepsTo(from, wanted); steps !== 0; steps = await stepsTo(from, wanted))
        await page.keyboard.press(steps > 0 ? 'ArrowDown' : 'ArrowUp');
      if (await from.evaluate(() => document.activeElement instanceof HTMLOptionElement))
        await page.keyboard.press('Enter');
      await expect.poll(() => stepsTo(from, wanted)).toBe(0);
    },
  };
}

/** How many options the wanted one is below the one in hand, or the chosen one while it is closed. */
async function stepsTo(from: Locator, wanted: string): Promise<number> {
  const [at, inHand] = await from.evaluate((select: HTMLSelectElement, name) => {
    const options = [...select.options];
    const isWanted = (option: HTMLOptionElement | undefined) => option?.text.startsWith(name) === true;
    const active = document.activeElement;
    const place = active instanceof HTMLOptionElement ? options.indexOf(active) : select.selectedIndex;
    return [isWanted(options[place]) ? place : options.findIndex(isWanted), place];
  }, wanted);
  if (at === undefined || inHand === undefined || at < 0) throw new Error(`no option begins with ${wanted}`);
  return at - inHand;
}

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
