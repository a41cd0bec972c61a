import { allFindings } from '../../core/checks/allFindings';
import type { Finding } from '../../core/checks/finding';
import { type Review, reviewPlan } from '../../core/checks/review';
import type { HouseRules } from '../../core/houseRules/houseRules';
import { hasMold } from '../../core/molds/noMold';
import type { Sheet } from '../../core/plan/sheet';
import { beginsAt } from '../../core/schedule/clock';
import { makePourPlan } from '../../core/schedule/makePourPlan';
import { anyPlanFileSchema } from '../../formats/planFile';
import { allFindingWords } from '../../words/en/findings/findingWords';
import { taskWords } from '../../words/en/work/taskWords';
import { parseBytes } from '../readJson';

/** A plan file as it was sent, which is not stored: judged by house rules and without a shelf. */
export interface FileAsked {
  bytes: Uint8Array;
  rules: HouseRules;
}

const SHOWING = { system: 'metric', locale: 'en' } as const;

/**
 * Its sheet and findings with their words, as JSON.
 *
 * @throws Problem 400 or 422
 */
export async function sheetAnswer({ bytes, rules }: FileAsked): Promise<string> {
  const { sheet, findings } = reviewOf(bytes, rules);
  return JSON.stringify({ sheet, findings: await withWords(findings) });
}

/**
 * Its pour plan and all findings with their words, as JSON: megabytes where a plan is crowded.
 *
 * @throws Problem 400 or 422
 */
export async function pourPlanAnswer({ bytes, rules }: FileAsked): Promise<string> {
  const review = reviewOf(bytes, rules);
  const { sheet } = review;
  const pourPlan = sheet && hasMold(sheet) ? makePourPlan(sheet, rules) : null;
  return JSON.stringify({
    pourPlan: sheet && pourPlan && { ...pourPlan, tasks: pourPlan.tasks.map((task) => said(task, sheet)) },
    beginsAt: sheet && pourPlan && beginsAt(pourPlan, sheet.making.clock),
    findings: await withWords(allFindings(review, pourPlan, rules, null)),
  });
}

function reviewOf(bytes: Uint8Array, rules: HouseRules): Review {
  return reviewPlan(parseBytes(bytes, anyPlanFileSchema), { rules, shelf: null });
}

function said<Task extends Parameters<typeof taskWords>[0]>(task: Task, sheet: Sheet) {
  return { ...task, said: taskWords(task, sheet, SHOWING) };
}

async function withWords(findings: readonly Finding[]) {
  const describe = await allFindingWords();
  return findings.map((finding) => ({ ...finding, said: describe(finding, SHOWING) }));
}
