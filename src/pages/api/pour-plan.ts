import { allFindings } from '../../core/checks/allFindings';
import { hasMold } from '../../core/molds/noMold';
import { beginsAt } from '../../core/schedule/clock';
import { anyPlanFileSchema } from '../../formats/planFile';
import { endpoint } from '../../server/endpoint';
import { pourPlanOf } from '../../server/pourPlan';
import { readJson } from '../../server/readJson';
import { reviewOf } from '../../server/reviews';
import { workshop } from '../../server/workshop';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { taskWords } from '../../words/en/work/taskWords';

const describeFinding = await allFindingWords();

/** The pour plan of a plan file by this workshop's house rules, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const file = await readJson(request, anyPlanFileSchema);
  const rules = workshop().rules();
  const review = await reviewOf(file, { rules, shelf: null });
  const { sheet } = review;
  const showing = { system: 'metric', locale: 'en' } as const;
  const pourPlan = sheet && hasMold(sheet) ? await pourPlanOf(sheet, rules) : null;
  const all = allFindings(review, pourPlan, rules, null);
  return {
    body: {
      pourPlan: pourPlan &&
        sheet && {
          ...pourPlan,
          tasks: pourPlan.tasks.map((task) => ({ ...task, said: taskWords(task, sheet, showing) })),
        },
      beginsAt: pourPlan && sheet && beginsAt(pourPlan, sheet.making.clock),
      findings: all.map((finding) => ({ ...finding, said: describeFinding(finding, showing) })),
    },
  };
});
