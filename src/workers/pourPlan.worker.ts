import { heatFindings } from '../core/checks/heat/heatReview';
import { keptPourPlans } from '../core/schedule/keptPourPlans';
import { pourPlanInSteps } from '../core/schedule/makePourPlan';
import type { PourPlan } from '../core/schedule/pourPlan';
import { teach } from '../core/schedule/teachFrom';
import { warmUp } from '../core/schedule/warmUp';
import type { PourPlanAnswer, PourPlanRequest, ToldPourPlan } from './pourPlanProtocol';

/** Makes pour plans beside the page, step by step: between two steps it hears of a newer request. */
const kept = keptPourPlans<ToldPourPlan>();
let asked: string | null = null;

const answer = (message: PourPlanAnswer) => postMessage(message);
const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** Ranges are begun when the plan has kept still for so long: while one types or drags, the middle is enough. */
const STILL_MS = 300;
/** Often enough to be seen to go on; the page draws itself anew each time. */
const TOLD_EVERY = 4;

self.onmessage = ({ data }: MessageEvent<PourPlanRequest>) => {
  if (data.kind === 'teach')
    return answer({ kind: 'taught', result: teach(data.sheet, data.rules, data.request) });
  asked = data.kind === 'pour-plan' ? data.key : null;
  if (data.kind === 'pour-plan') void work(data);
};

async function work({ key, sheet, rules }: Extract<PourPlanRequest, { kind: 'pour-plan' }>) {
  const found = kept.find(key);
  if (found) return answer({ kind: 'whole', key, told: found });
  const told = (pourPlan: PourPlan): ToldPourPlan => ({
    pourPlan,
    heat: heatFindings({ sheet, pourPlan, rules }),
  });
  try {
    for (const { done, of, tell } of pourPlanInSteps(sheet, rules)) {
      if (asked !== key) return;
      if (done === 0) answer({ kind: 'first', key, told: told(tell()), of });
      else if (done < of) {
        if (done % TOLD_EVERY === 0) answer({ kind: 'progress', key, done, of });
      } else {
        const whole = told(tell());
        kept.keep(key, whole);
        answer({ kind: 'whole', key, told: whole });
      }
      await after(done === 0 ? STILL_MS : 0);
    }
  } catch (error) {
    answer({
      kind: 'fault',
      key,
      reason: error instanceof RangeError ? error.message : 'it can’t be computed',
    });
    if (!(error instanceof RangeError)) throw error;
  }
}

// The first run of code that is not yet compiled takes many times as long.
warmUp();
