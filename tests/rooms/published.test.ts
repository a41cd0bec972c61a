import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import test from 'node:test';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { findingSchema } from '../../src/core/checks/findingSchema';
import { planFileSchema } from '../../src/core/plan/planSchema';
import { OPEN_VERSION, openJsonSchema } from '../../src/formats/openFormats';
import { PLAN_FILE_VERSIONS, planJsonSchema } from '../../src/formats/planJsonSchema';
import { additive, fragrance, planFile } from '../support/planFiles';

const published = (name: string) => JSON.parse(readFileSync(`docs/schemas/${name}.schema.json`, 'utf8'));

test('the published schemas are those the product checks with; npm run schema writes them', () => {
  for (const version of PLAN_FILE_VERSIONS)
    assert.deepEqual(published(`plan-${version}`), JSON.parse(JSON.stringify(planJsonSchema(version))));
  assert.deepEqual(published(`workshop-${OPEN_VERSION}`), JSON.parse(JSON.stringify(openJsonSchema())));
});

test('an independent validator (Ajv, JSON Schema 2020-12) takes and refuses the same files', () => {
  const validate = new Ajv2020({ strict: false }).compile(published('plan-2'));
  const good = planFile([
    {
      doses: [
        [fragrance(), '2 %'],
        [additive(), '6 g'],
      ],
    },
  ]);
  const bad: [string, unknown][] = [
    ['no pours', { ...good, plan: { ...good.plan, pours: [] } }],
    ['half a piece', { ...good, plan: { ...good.plan, pieces: 2.5 } }],
    ['overfull', { ...good, plan: { ...good.plan, fillFraction: 1.01 } }],
    ['another version', { ...good, version: 3 }],
    ['something unknown', { ...good, plan: { ...good.plan, colour: 'blue' } }],
    ['a density of zero', { ...good, materials: [{ ...good.materials[0], densityGPerMl: 0 }] }],
    ['text for a number', { ...good, plan: { ...good.plan, pieces: '12' } }],
  ];
  assert.ok(validate(good), JSON.stringify(validate.errors));
  assert.ok(planFileSchema.safeParse(good).success);
  for (const [what, file] of bad) {
    assert.equal(validate(file), false, what);
    assert.equal(planFileSchema.safeParse(file).success, false, what);
  }
});

test('every code of a finding is told in docs/sheet.md', () => {
  const told = readFileSync('docs/sheet.md', 'utf8');
  const codes = findingSchema.options.flatMap(({ shape }) => [...shape.code.values]);
  assert.ok(codes.length > 60);
  assert.equal(new Set(codes).size, codes.length);
  assert.deepEqual(
    codes.filter((code) => !told.includes(`\`${code}\``)),
    [],
  );
});
