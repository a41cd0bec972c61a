import { causesOf } from '../core/causes/causes';
import { evidenceOf } from '../core/causes/evidence';
import type { CausesAnswer, CausesRequest } from './causesProtocol';

/** Follows the heat of a run beside the page, and looks for the causes of its faults. */
self.onmessage = ({ data: { run, faults, shelf } }: MessageEvent<CausesRequest>) => {
  let answer: CausesAnswer = null;
  try {
    const evidence = evidenceOf(run, shelf);
    answer = faults.map(({ seen, round }) => causesOf(seen, round, evidence));
  } catch (error) {
    console.error(error);
  }
  postMessage(answer);
};
