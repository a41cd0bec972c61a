import { type APIRequestContext, expect, type Page } from '@playwright/test';
import type { DosedMaterial } from '../../src/core/materials/material';
import type { PlanFile } from '../../src/core/plan/plan';
import type { Sheet } from '../../src/core/plan/sheet';
import type { Run, RunEvent } from '../../src/core/run/run';
import { base, fragrance, mold, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';

let counted = 0;

/** Records under names that no other test has, so that tests can share one workshop. */
export function ownFile(
  doses: [DosedMaterial, string][] = [],
  plan: Partial<PlanFile['plan']> = {},
): PlanFile {
  const mark = `${process.pid}-${++counted}`;
  const inMold = mold({
    id: `mold-${mark}`,
    name: `Mold ${mark}`,
    shape: { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 0 },
  });
  return planFile(
    [
      {
        base: base({ id: `base-${mark}`, name: `Base ${mark}` }),
        doses: doses.map(([material, text]) => [
          { ...material, id: `${material.id}-${mark}`, name: `${material.name} ${mark}` },
          text,
        ]),
      },
    ],
    { name: `Plan ${mark}`, ...plan },
    inMold,
  );
}

export const scent = fragrance({ name: 'Scent' });

/** Puts a plan into the workshop and answers its id. */
export async function given(
  request: APIRequestContext,
  file: PlanFile,
): Promise<{ id: string; file: PlanFile }> {
  const answer = await request.post('/api/plans/import', { data: file });
  expect(answer.status()).toBe(201);
  return { id: (await answer.json()).id, file };
}

/** Puts a lot of a material onto the shelf; answers its id. */
export async function bought(
  request: APIRequestContext,
  materialId: string | undefined,
  price: string | null,
  amount: number,
): Promise<string> {
  const answer = await request.post('/api/lots', {
    data: {
      item: { kind: 'material', id: materialId },
      ...{ number: 'C-1', boughtOn: '2026-01-05', price, discountFraction: 0, amount },
      ...{ bestBefore: null, openedOn: null, note: '' },
    },
    headers: { 'idempotency-key': crypto.randomUUID() },
  });
  expect(answer.status()).toBe(201);
  return (await answer.json()).item.id;
}

/** What a plan comes to, as the server has it. */
export async function sheetOfPlan(request: APIRequestContext, id: string): Promise<Sheet> {
  const file = await (await request.get(`/api/plans/${id}/export`)).json();
  return (await (await request.post('/api/sheet', { data: file })).json()).sheet;
}

/** A copy of a plan of the demo by its name, so that tests that run at the same time do not change one plan; its id. */
export async function copyOf(request: APIRequestContext, name: string): Promise<string> {
  const plans: { id: string; plan: { name: string } }[] = await (await request.get('/api/plans')).json();
  const found = plans.find(({ plan }) => plan.name === name);
  if (!found) throw new Error(`no ${name}`);
  const copy = await request.post(`/api/plans/${found.id}/duplicate`);
  expect(copy.status()).toBe(201);
  return (await copy.json()).id;
}

/** Makes a plan until a task is in hand; to its end where none is named. */
export async function made(
  request: APIRequestContext,
  planId: string,
  until?: string,
  at = new Date(),
): Promise<Run> {
  const runId = crypto.randomUUID();
  const started = await request.post('/api/runs', { data: { id: runId, planId } });
  expect(started.status()).toBe(201);
  let run: Run = await started.json();
  for (
    let event = nextEvent(run);
    event && !('taskId' in event && event.taskId === until);
    event = nextEvent(run)
  )
    run = await sent(request, runId, event, at);
  return run;
}

/** Tells the workshop what happened in a run; the run with it. */
export async function sent(
  request: APIRequestContext,
  runId: string,
  event: RunEvent,
  at = new Date(),
): Promise<Run> {
  const answer = await request.post(`/api/runs/${runId}/events`, {
    data: { eventId: crypto.randomUUID(), event, occurredAt: at.toISOString() },
  });
  expect(answer.status()).toBeLessThan(300);
  return answer.json();
}

export function doseField(page: Page, name: string | undefined) {
  return page.getByLabel(`Dose of ${name}`, { exact: true });
}

/** What was changed last is saved: the word may be of before until the page has been drawn with the change. */
export async function saved(page: Page) {
  await page.evaluate(
    () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
  );
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
}

/**
 * What on the page a finger would miss: controls under 44 px, with their sizes. The page is asked once, in one
 * go: what goes away between two questions (a Stop, when the work is done) would measure 0 x 0.
 */
export const tooSmallForAFinger = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main :is(button, input, select, textarea, summary)')]
      .filter((each) => each.checkVisibility({ visibilityProperty: true }))
      .filter((each) => !each.matches('.sr-only, [type=radio], [type=checkbox]'))
      .map((each) => ({
        box: each.getBoundingClientRect(),
        name: each.getAttribute('aria-label') ?? (each.textContent || each.id),
      }))
      .filter(({ box }) => box.height < 43.5 || box.width < 43.5)
      .map(({ box, name }) => `${name} ${Math.round(box.width)} x ${Math.round(box.height)}`),
  );

/** Waits until all that is drawn in the browser stands there. */
export async function allDrawn(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll('astro-island')].every(
      (island) => !island.hasAttribute('ssr') && island.childElementCount > 0,
    ),
  );
}

export async function opened(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await allDrawn(page);
}
