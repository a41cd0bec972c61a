import { expect, test } from '@playwright/test';
import { additive } from '../support/planFiles';
import { looksRight } from './looksRight';
import { given, ownFile } from './workshop';

test('a recipe of a notebook becomes a plan, what it names is put on the shelf, and the plan is a recipe again', async ({
  page,
  request,
}) => {
  const { file } = await given(request, ownFile([[additive({ name: 'Bran', role: 'grit' }), '1 %']]));
  const [itsBase, bran] = file.materials;
  const scent = `Wild orange ${itsBase?.name.split(' ').at(-1)}`;
  await page.goto('/plans/recipe');
  const text = page.getByLabel('As it stands in the notebook');
  const make = page.getByRole('button', { name: 'Make the plan' });
  const lines = page.getByRole('region', { name: 'What was understood' }).getByRole('listitem');
  await expect(make).toBeDisabled();
  await text.fill(
    `Orchard bar\n500 g ${itsBase?.name}\n3 tsp ${bran?.name}, 2 stirred in, 1 on the floor of the molds\n30 drops ${scent}\nsome salt`,
  );
  await expect(lines).toHaveCount(5);
  await expect(lines.nth(2)).toContainText('2 tsp stirred in and 1 tsp on the floor');
  await expect(lines.nth(2)).toContainText(bran?.name ?? '');
  await expect(lines.nth(4)).toContainText('No amount was found');
  await make.click();
  await expect(page.getByRole('alert')).toContainText(`Line 4: say what “${scent}” is.`);
  await expect(page.getByRole('alert')).toContainText('Line 5 can’t be read.');
  // A reload in the middle loses nothing.
  await page.reload();
  await expect(text).toHaveValue(/some salt/);
  await text.fill((await text.inputValue()).replace('\nsome salt', ''));
  await page.getByLabel(`What “${scent}” is`).selectOption('Essential oil');
  await looksRight(page);
  await page.getByRole('combobox', { name: 'Mold', exact: true }).selectOption({ label: file.mold.name });
  await make.dblclick();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await expect(page.getByLabel('Plan', { exact: true })).toHaveValue('Orchard bar');
  await expect(page.getByRole('region', { name: 'Totals' })).toContainText('500.0 g');
  await expect(page.getByRole('row', { name: new RegExp(scent) })).toContainText('30 drops');
  const named = await (await request.get('/api/plans')).json();
  expect(named.filter((each: { plan: { name: string } }) => each.plan.name === 'Orchard bar')).toHaveLength(
    1,
  );

  await page.getByText('As a recipe').click();
  const out = page.getByLabel('This plan as a recipe');
  await expect(out).toHaveValue(
    new RegExp(
      `^Orchard bar\n\n500 g ${itsBase?.name}\n2 tsp ${bran?.name}\n1 tsp ${bran?.name}, on the floor\n30 drops ${scent}\n`,
    ),
  );
  const written = await out.inputValue();
  await page.goto('/plans/recipe');
  await text.fill(written.replace('name: Orchard bar', 'name: Orchard bar again'));
  await make.click();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.getByText('As a recipe').click();
  await expect(page.getByLabel('This plan as a recipe')).toHaveValue(
    written.replaceAll('Orchard bar', 'Orchard bar again'),
  );
});
