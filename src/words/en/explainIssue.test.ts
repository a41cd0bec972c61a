import assert from 'node:assert/strict';
import test from 'node:test';
import { planSchema } from '../../core/plan/planSchema';
import { z } from '../../core/zod';
import { explainIssue } from './explainIssue';

function firstReason(schema: z.ZodType, value: unknown): string {
  const parsed = schema.safeParse(value, { reportInput: true });
  const issue = parsed.error?.issues[0];
  assert.ok(issue, 'the value was taken');
  return explainIssue(issue);
}

test('every kind of fault is said in words that name the mend', () => {
  const cases: [z.ZodType, unknown, RegExp][] = [
    [z.int(), 2.5, /^must be a whole number$/],
    [z.int(), 'x', /^must be a number$/],
    [z.number(), undefined, /^is missing$/],
    [z.number().min(1), 0, /^must be at least 1$/],
    [z.number().positive(), 0, /^must be more than 0$/],
    [z.number().max(5), 9, /^must be 5 at the most$/],
    [z.string().min(1), '', /^must not be empty$/],
    [z.string().max(3), 'long', /^is too long: 3 characters at the most$/],
    [z.array(z.number()).min(1), [], /^needs at least 1$/],
    [z.array(z.number()).max(1), [1, 2], /^has too many: 1 at the most$/],
    [z.enum(['a', 'b']), 'c', /^must be one of: a, b$/],
    [z.enum(['a', 'b']), undefined, /^is missing: one of a, b$/],
    [z.strictObject({}), { x: 1 }, /^holds something unknown: x\. Take it out$/],
    [z.uuid(), 'no', /^doesn’t have the form of uuid$/],
    [
      z.discriminatedUnion('kind', [z.object({ kind: z.literal('a') })]),
      { kind: 'z' },
      /^is not one of the known kinds$/,
    ],
    [z.discriminatedUnion('kind', [z.object({ kind: z.literal('a') })]), {}, /^is missing$/],
  ];
  for (const [schema, value, words] of cases) assert.match(firstReason(schema, value), words);
});

test('nothing of what was sent is repeated at length', () => {
  const reason = firstReason(planSchema, { ['k'.repeat(5000)]: 1 });
  assert.ok(reason.length < 200);
});
