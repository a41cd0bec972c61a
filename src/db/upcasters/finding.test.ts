import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import test from 'node:test';
import { findingSchema } from '../../core/checks/findingSchema';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { findingWithFields } from './finding';

const describeFinding = await allFindingWords();

interface Told {
  finding: { code: string; severity: string; mend: { edit: string }[] | null };
  said: { title: string; reason: string; mendLabel: string | null };
}

/** Findings as they were frozen before each code had fields of its own, with what was said of them then. */
const TOLD = JSON.parse(readFileSync('tests/fixtures/findings/told.json', 'utf8')) as Told[];

test('a finding of figures by name gets the fields of its code, and says what it said', () => {
  assert.ok(new Set(TOLD.map(({ finding }) => finding.code)).size > 45);
  for (const [place, { finding, said }] of TOLD.entries()) {
    const now = findingSchema.parse(findingWithFields(finding, place));
    const { title, reason, fixLabel } = describeFinding(now, { system: 'metric', locale: 'en' });
    assert.deepEqual(
      [
        title,
        reason
          .replaceAll('of the samples', 'of the runs')
          .replace('brings, and what', 'brings and what')
          .replace('“half a teaspoon”, ', ''),
        fixLabel,
      ],
      // A dilution that is too coarse itself is no way out any more.
      [said.title, said.reason.replace(/; pre-dilute: [^;]*±6\.36 %/, ''), said.mendLabel],
    );
    assert.equal(now.severity, finding.severity);
    assert.deepEqual(
      now.fix?.map(({ kind }) => kind),
      finding.mend?.map(({ edit }) => edit),
    );
  }
});

test('a finding that has the fields of its code is left as it is', () => {
  for (const [place, { finding }] of TOLD.entries()) {
    const once = findingWithFields(finding, place);
    assert.deepEqual(findingWithFields(once, 0), once);
  }
});
