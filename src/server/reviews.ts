import type { CheckContext } from '../core/checks/finding';
import { type Review, reviewPlan } from '../core/checks/review';
import type { PlanFile } from '../core/plan/plan';
import { compute } from './compute/threads';
import { problemOf } from './endpoint';
import { Problem } from './problem';
import { turn } from './turn';

/** Reviews by their files, or why there is none. */
export type KnownReviews = WeakMap<PlanFile, Promise<Review | Problem>>;

/** So long this thread reviews by itself what is soon done; what is more goes to another. */
const HERE_MS = 15;
const [SOON_POURS, SOON_DOSES] = [6, 30];
const AT_ONCE = 4;

/** Begins to review what is not known yet, and puts it among what is. */
export function reviewAll(files: ReadonlySet<PlanFile>, checks: CheckContext, known: KnownReviews): void {
  const until = performance.now() + HERE_MS;
  const elsewhere: PlanFile[] = [];
  for (const file of files) {
    if (known.has(file)) continue;
    if (isSoonDone(file) && performance.now() < until) known.set(file, reviewHere(file, checks));
    else elsewhere.push(file);
  }
  for (let from = 0; from < elsewhere.length; from += AT_ONCE) {
    const some = elsewhere.slice(from, from + AT_ONCE);
    // What is sent to a thread is copied here.
    const found = turn().then(() => reviewTogether(some, checks));
    some.forEach((file, place) => {
      const own = found.then(
        (each) => each[place] ?? new Problem(503, 'no-review', 'This plan has no review.'),
      );
      known.set(file, own);
      // Too much at this moment, perhaps: it is tried again when it is asked for again.
      void own.then((review) => review instanceof Problem && known.delete(file));
    });
  }
}

function isSoonDone({ plan: { pours } }: PlanFile): boolean {
  return pours.length <= SOON_POURS && pours.flatMap(({ doses }) => doses).length <= SOON_DOSES;
}

async function reviewHere(file: PlanFile, checks: CheckContext): Promise<Review | Problem> {
  try {
    return reviewPlan(file, checks);
  } catch (error) {
    return problemOf(error);
  }
}

/** Together, as they share their shelf; where that fails, each by itself. */
async function reviewTogether(files: PlanFile[], context: CheckContext): Promise<(Review | Problem)[]> {
  try {
    return await compute('reviews', { files, context });
  } catch (error) {
    if (files.length === 1) return [problemOf(error)];
    return (await Promise.all(files.map((each) => reviewTogether([each], context)))).flat();
  }
}
