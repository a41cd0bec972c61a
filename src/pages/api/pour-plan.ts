import { heatFindings, withHeat } from '../../core/checks/heat/heatReview';
import { reviewPlan, sayFinding } from '../../core/checks/review';
import { planFileSchema } from '../../core/plan/plan';
import { beginsAt } from '../../core/pourPlan/clock';
import { jobWords } from '../../core/pourPlan/jobWords';
import { endpoint } from '../../server/endpoint';
import { pourPlanOf } from '../../server/pourPlan';
import { readJson } from '../../server/readJson';
import { workshop } from '../../server/workshop';

/** The pour plan of a plan file by this workshop's house rules, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const file = await readJson(request, planFileSchema);
  const rules = workshop().houseRules.read().item;
  const { sheet, findings } = reviewPlan(file, { rules, shelf: null });
  const showing = { system: 'metric', locale: 'en' } as const;
  const pourPlan = sheet && (await pourPlanOf(sheet, rules));
  const all =
    sheet && pourPlan
      ? withHeat(findings, heatFindings({ sheet, pourPlan, rules, now: null }), pourPlan.grains)
      : findings;
  return {
    body: {
      pourPlan: pourPlan && {
        ...pourPlan,
        jobs: pourPlan.jobs.map((job) => ({ ...job, said: jobWords(job, sheet, pourPlan, showing) })),
      },
      beginsAt: pourPlan && beginsAt(pourPlan, sheet.making.clock),
      findings: all.map((finding) => ({ ...finding, said: sayFinding(finding, showing) })),
    },
  };
});
