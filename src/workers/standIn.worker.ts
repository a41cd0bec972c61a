import { seededRandom } from '../core/seededRandom';
import { KITCHEN_SCALE, standInScale } from '../instruments/standInScale';
import type { StandInAnswer, StandInRequest } from './standInProtocol';

const EACH_MS = 100;

let scale = standInScale(KITCHEN_SCALE, seededRandom(1));
let isIn = true;

self.onmessage = ({ data }: MessageEvent<StandInRequest>) => {
  if (data.kind === 'start') scale = standInScale(KITCHEN_SCALE, seededRandom(data.seed));
  else if (data.kind === 'add') scale.add(data.massG);
  else if (data.kind === 'clear') scale.add(-scale.loadG());
  else if (data.kind === 'tare') scale.tare();
  else {
    isIn = data.isIn;
    scale.plug(isIn);
    if (!isIn) tell({ kind: 'gone', atMs: Date.now() });
  }
};

const tell = (answer: StandInAnswer) => postMessage(answer);

setInterval(() => {
  const shown = scale.after(EACH_MS / 1000);
  const atMs = Date.now();
  if (shown === null) return;
  tell(shown === 'overload' ? { kind: 'overload', atMs } : { kind: 'mass', ...shown, atMs });
}, EACH_MS);
