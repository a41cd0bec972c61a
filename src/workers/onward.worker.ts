import { heatOnward } from '../core/run/heatOnward';
import type { OnwardAnswer, OnwardRequest } from './onwardProtocol';

/** Follows the heat of a run beside the page. What it can't follow is told as planned. */
self.onmessage = ({ data: { number, run, nowMs } }: MessageEvent<OnwardRequest>) => {
  let heat: OnwardAnswer['heat'] = null;
  try {
    heat = heatOnward(run, nowMs);
  } catch (error) {
    console.error(error);
  }
  postMessage({ number, heat } satisfies OnwardAnswer);
};
