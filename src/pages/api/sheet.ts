import { reviewPlan } from '../../core/checks/review';
import { anyPlanFileSchema } from '../../formats/planFile';
import { endpoint } from '../../server/endpoint';
import { readJson } from '../../server/readJson';
import { workshop } from '../../server/workshop';
import { allFindingWords } from '../../words/en/findings/findingWords';

const describeFinding = await allFindingWords();

/** The sheet of a plan file and its findings by this workshop's house rules, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const { sheet, findings } = reviewPlan(await readJson(request, anyPlanFileSchema), {
    rules: workshop().rules(),
    shelf: null,
  });
  const showing = { system: 'metric', locale: 'en' } as const;
  return {
    body: {
      sheet,
      findings: findings.map((finding) => ({ ...finding, said: describeFinding(finding, showing) })),
    },
  };
});
