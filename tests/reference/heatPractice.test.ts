import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import test from 'node:test';
import { practiceMarkdown, practiceTable } from '../../scripts/practiceTable';

// Common practice, no source: what crafters see, against the model. A miss is shown as one.
const MISSES = 1;

test('practice against model: as many misses as are told, and docs/model.md prints the same', () => {
  const rows = practiceTable();
  const missed = rows.filter(({ verdict }) => verdict === 'misses').map(({ practice }) => practice);
  assert.ok(rows.length >= 10);
  assert.equal(missed.length, MISSES, missed.join('; '));
  const page = readFileSync(new URL('../../docs/model.md', import.meta.url), 'utf8');
  assert.ok(page.includes(practiceMarkdown()), 'docs/model.md is not of today: npm run schema');
});
