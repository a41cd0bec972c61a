import { type Browser, expect, test } from '@playwright/test';
import { HANDS, type Hand, type HandName, handOf } from './hands';
import { doseField, opened, saved } from './workshop';

let counted = 0;

/** A new plan in one of the demo's molds, with as many more pours as are asked for. */
async function begun(
  browser: Browser,
  name: HandName,
  plan: { name: string; mold: string; base: string; use?: string; pieces?: string },
): Promise<Hand> {
  const hand = await handOf(name, browser);
  await begin(hand, plan);
  return hand;
}

async function begin(
  hand: Hand,
  plan: { name: string; mold: string; base: string; use?: string; pieces?: string },
) {
  const { page, press, write, choose } = hand;
  await opened(page, '/plans');
  await press(page.getByRole('button', { name: 'New plan' }));
  await write(page.getByLabel('Name', { exact: true }), plan.name);
  if (plan.use) await choose(page.getByLabel('For', { exact: true }), plan.use);
  await choose(page.getByLabel('Mold', { exact: true }), plan.mold);
  await choose(page.getByLabel('Base', { exact: true }), plan.base);
  if (plan.pieces) await write(page.getByLabel('Pieces'), plan.pieces);
  await press(page.getByRole('button', { name: 'Begin' }));
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
}

const tab = ({ page }: Hand, letter: string) => page.getByRole('tab', { name: new RegExp(`^${letter}`) });
const sizeField = ({ page }: Hand) => page.getByLabel(/^Size of [A-Z]$/);

async function morePours({ page, press }: Hand, count: number) {
  for (let more = 0; more < count; more++)
    await press(page.getByRole('button', { name: 'Pour', exact: true }));
}

async function dosed({ page, press, write }: Hand, material: string, text: string) {
  await write(page.getByLabel('Material to add'), material);
  await press(page.getByRole('button', { name: 'Add', exact: true }));
  await write(doseField(page, material), text);
}

async function openWays({ page, press }: Hand) {
  const fold = page.locator('details', { hasText: 'How it is poured, what is set in' });
  if (!(await fold.evaluate((details) => (details as HTMLDetailsElement).open)))
    await press(fold.locator('summary').first());
  await expect(page.getByLabel('In so many goes')).toBeVisible();
}

for (const name of HANDS) {
  test(`Lighthouse Stripe from nothing, by ${name}: three stripes in a loaf, ten bars and their trims`, async ({
    browser,
  }) => {
    const hand = await begun(browser, name, {
      name: `Stripe by ${name}`,
      mold: 'Long loaf',
      base: 'Chalk',
      pieces: '10',
    });
    const { page, press, write } = hand;
    await morePours(hand, 2);
    await press(tab(hand, 'A'));
    await write(sizeField(hand), '22 mm');
    await dosed(hand, 'Harbour Mist', '2 %');
    await press(tab(hand, 'B'));
    await write(sizeField(hand), '14 mm');
    await dosed(hand, 'Harbour Mist', '2 %');
    await dosed(hand, 'Brick colour block', '⅓ block');
    await press(tab(hand, 'C'));
    await write(sizeField(hand), 'rest');
    await dosed(hand, 'Harbour Mist', '2 %');
    // 96 % of 1010 mL, and ten bars of 23 mm from 230 of 240 mm.
    await expect(page.getByText('969.6 mL each')).toBeVisible();
    await expect(
      page.getByRole('region', { name: 'Totals' }).getByText(/^1 loaf of .* sliced into 10 bars/),
    ).toBeVisible();
    const section = page.getByRole('region', { name: 'Section' });
    await expect(section.getByRole('slider', { name: 'Boundary of A and B' })).toHaveAttribute(
      'aria-valuenow',
      '22',
    );
    await expect(section.getByRole('slider', { name: 'Boundary of B and C' })).toHaveAttribute(
      'aria-valuenow',
      '36',
    );
    // Cut as it is sliced, across: 72 mm wide and 62 deep.
    await expect(section.getByRole('group', { name: /72 by 62 mm, filled to 59\.\d mm/ })).toBeVisible();
    await press(section.getByRole('button', { name: 'Unmolded' }));
    await expect(
      section.getByRole('img', { name: /The bar unmolded, face up, 72 by 59\.\d mm/ }),
    ).toBeVisible();
    await saved(page);
  });

  test(`Night Ferry from nothing, by ${name}: a moon, its halo, and the dark`, async ({ browser }) => {
    const hand = await begun(browser, name, { name: `Ferry by ${name}`, mold: 'Dome tray', base: 'Chalk' });
    const { page, press, write, choose } = hand;
    await morePours(hand, 2);
    await press(tab(hand, 'A'));
    await write(sizeField(hand), 'disc 30 mm');
    // A cap of 1.2136 mL in a half ball of 89.80 mL that was measured to hold 90.
    await expect(page.getByText(/3\.4 mm, 1\.22 mL a cavity/)).toBeVisible();
    await press(tab(hand, 'B'));
    await write(sizeField(hand), 'disc 45 mm');
    await choose(page.getByRole('combobox', { name: 'Base', exact: true }), 'Cream Lane');
    await press(tab(hand, 'C'));
    await write(sizeField(hand), 'the rest');
    await choose(page.getByRole('combobox', { name: 'Base', exact: true }), 'Glaze');
    await dosed(hand, 'Slate mica', '0.5 %');
    await dosed(hand, 'Bay & Rope', '1.5 %');
    // 35 − √(35² − 22.5²) = 8.19 mm.
    await expect(page.getByRole('slider', { name: 'Boundary of B and C' })).toHaveAttribute(
      'aria-valuenow',
      '8.2',
    );
    await press(page.getByRole('button', { name: 'Face' }));
    const circles = page.getByRole('img', { name: 'The face of the bar, from above' }).locator('circle');
    await expect(circles.first()).toBeVisible();
    const radii = await circles.evaluateAll((all) => [
      ...new Set(all.map((each) => Number(Number(each.getAttribute('r')).toFixed(1)))),
    ]);
    expect(radii).toEqual([35, 22.5, 15]);
    await saved(page);
  });

  test(`Moss & Flint from nothing, by ${name}: cubes from the scrap jar, glued with clear base`, async ({
    browser,
  }) => {
    const hand = await begun(browser, name, {
      name: `Moss by ${name}`,
      mold: 'Slab bar tray',
      base: 'Glaze',
    });
    const { page, press, write, choose } = hand;
    await openWays(hand);
    await write(page.getByLabel('In so many goes'), '2');
    for (const [place, [source, share]] of [
      ['Moss offcuts', '28'],
      ['Flint offcuts', '17'],
    ].entries()) {
      await press(page.getByRole('button', { name: 'Fill with cubes or gratings' }));
      await choose(page.getByLabel('Filled with').nth(place), source ?? '');
      await write(page.getByLabel('Share of the pour').nth(place), share ?? '');
    }
    await dosed(hand, 'Bay & Rope', '1.5 %');
    // 6 · 104 mL · 95 % = 592.8 mL: 28 % of it at 1.05 g/mL is 174.3 g, 17 % is 105.8 g, and 55 % is left for clear.
    const totals = page.getByRole('region', { name: 'Totals' });
    await expect(totals.getByText('174.3 g')).toBeVisible();
    await expect(totals.getByText('105.8 g')).toBeVisible();
    await expect(totals.getByText('98.8 mL each')).toBeVisible();
    const cubes = page.getByRole('region', { name: 'Section' }).locator('svg rect[transform]');
    expect(await cubes.count()).toBeGreaterThan(6);
    await press(page.getByRole('button', { name: 'To the bench' }));
    await page.waitForURL(/\/bench\//);
    const tasks = page.getByRole('navigation', { name: 'Tasks' });
    await expect(tasks.getByRole('button', { name: /Moss offcuts, Flint offcuts/ })).toBeVisible();
  });

  test(`Paper Boats from nothing, by ${name}: boats made ahead on an ombré of four blues from one jug`, async ({
    browser,
  }) => {
    // Told apart by its first letters, so that a slow hand on the keys finds it too.
    const boat = `${name} boat ${process.pid} ${++counted}`;
    const hand = await begun(browser, name, {
      name: boat,
      mold: 'Small boats',
      base: 'Chalk',
      use: 'Embeds',
    });
    const { page, press, write, choose } = hand;
    await saved(page);
    await begin(hand, { name: `Boats by ${name}`, mold: 'Slab bar tray', base: 'Chalk', pieces: '12' });
    await morePours(hand, 3);
    await press(tab(hand, 'A'));
    await openWays(hand);
    await press(page.getByText('Ombré ladder'));
    await choose(page.getByLabel('Colorant'), 'Quay Blue liquid');
    await write(page.getByLabel('Palest dose'), '2 drops');
    await write(page.getByLabel('Deepest dose'), '12 drops');
    await press(page.getByRole('button', { name: 'Set these doses' }));
    await press(tab(hand, 'D'));
    await expect(page.getByText(/Before D: \+ \d/)).toBeVisible();
    await expect(page.getByLabel('Goes on in the jug of C')).toBeChecked();
    await press(page.getByRole('button', { name: 'Set pieces in' }));
    await choose(page.getByRole('combobox', { name: 'Set in', exact: true }), boat);
    await write(page.getByLabel('Stands out of it by'), '6');
    // A boat is 5.2 mL of Chalk, 5.41 g; twelve bars take one each.
    await expect(
      page.getByText(/12 pieces in all, 5\.41 g each, 64\.9 g; takes 5\.20 mL of each cavity/),
    ).toBeVisible();
    const totals = page.getByRole('region', { name: 'Totals' });
    await expect(totals.getByText('Chalk for A to D')).toBeVisible();
    await expect(totals.getByRole('link', { name: `Make ${boat} first` })).toBeVisible();
    await press(page.getByRole('button', { name: 'To the bench' }));
    await page.waitForURL(/\/bench\//);
    const tasks = page.getByRole('navigation', { name: 'Tasks' });
    // Twelve bars are two fillings, each of one melt for all four; the later pours only add drops.
    await expect(tasks.getByRole('button', { name: /A to D: Melt/ })).toHaveCount(2);
    await expect(tasks.getByRole('button', { name: /[BCD]: Quay Blue liquid/ })).toHaveCount(6);
    await expect(tasks.getByRole('button', { name: `D: ${boat}` }).first()).toBeVisible();
  });
}
