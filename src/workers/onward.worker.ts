import { heatOnward } from '../core/run/heatOnward';
import { progress, withReadings } from '../core/run/progress';
import type { OnwardAnswer, OnwardRequest } from './onwardProtocol';

/** Follows the heat of a run beside the page. What it can't follow is told as planned. */
self.onmessage = ({ data: { number, runId, run, readings, nowMs } }: MessageEvent<OnwardRequest>) => {
  let heat: OnwardAnswer['heat'] = null;
  try {
    heat = heatOnward(run, nowMs, withReadings(progress(run), readings));
  } catch (error) {
    console.error(error);
  }
  postMessage({ number, runId, heat } satisfies OnwardAnswer);
};
