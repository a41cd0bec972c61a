import { reviewPlan, sayFinding } from '../../core/checks/review';
import { planFileSchema } from '../../core/plan/plan';
import { endpoint } from '../../server/endpoint';
import { readJson } from '../../server/readJson';

/** The sheet of a plan file and its findings, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const { sheet, findings } = reviewPlan(await readJson(request, planFileSchema));
  const showing = { system: 'metric', locale: 'en' } as const;
  return {
    body: {
      sheet,
      findings: findings.map((finding) => ({ ...finding, said: sayFinding(finding, showing) })),
    },
  };
});
