import { anyPlanFileSchema } from '../../formats/planFile';
import { endpoint } from '../../server/endpoint';
import { readJson } from '../../server/readJson';
import { reviewOf } from '../../server/reviews';
import { workshop } from '../../server/workshop';
import { allFindingWords } from '../../words/en/findings/findingWords';

const describeFinding = await allFindingWords();

/** The sheet of a plan file and its findings by this workshop's house rules, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const file = await readJson(request, anyPlanFileSchema);
  const context = { rules: workshop().rules(), shelf: null };
  const { sheet, findings } = await reviewOf(file, context);
  const showing = { system: 'metric', locale: 'en' } as const;
  return {
    body: {
      sheet,
      findings: findings.map((finding) => ({ ...finding, said: describeFinding(finding, showing) })),
    },
  };
});
