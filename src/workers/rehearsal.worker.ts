import { rehearsed } from '../core/rehearsal/rehearsed';
import type { RehearsalAnswer, RehearsalRequest } from './rehearsalProtocol';

/** Tells what a rehearsal came to, beside the page. */
self.onmessage = ({ data: { run, mishaps } }: MessageEvent<RehearsalRequest>) => {
  let told: RehearsalAnswer = null;
  try {
    told = rehearsed(run, mishaps);
  } catch (error) {
    console.error(error);
  }
  postMessage(told);
};
