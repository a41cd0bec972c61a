import { seededRandom } from '../core/seededRandom';
import { KITCHEN_THERMOMETER, standInThermometer } from '../instruments/standInThermometer';
import type { StandInAnswer, ThermometerRequest } from './standInProtocol';

const EACH_MS = 1000;
/** A jug that nobody knows cools so much faster or slower than it is thought to. */
const PACE = 0.3;
const ROOM_C = 20;

let random = seededRandom(1);
let roomC = ROOM_C;
let thermometer = standInThermometer(KITCHEN_THERMOMETER, roomC, random);
let pace = 1;
let curve: readonly { atMs: number; tempC: number }[] = [];
let isIn = true;
let clock = { atMs: 0, realMs: 0, speed: 1 };

self.onmessage = ({ data }: MessageEvent<ThermometerRequest>) => {
  if (data.kind === 'start') {
    random = seededRandom(data.seed);
    pace = 1 + PACE * (2 * random() - 1);
    roomC = data.roomC;
    thermometer = standInThermometer(KITCHEN_THERMOMETER, roomC, random);
  } else if (data.kind === 'clock') clock = data;
  else if (data.kind === 'jug') curve = data.curve;
  else if (data.kind === 'out') curve = [];
  else {
    isIn = data.isIn;
    thermometer.plug(isIn);
    if (!isIn) tell({ kind: 'gone', atMs: now() });
  }
};

const now = () => clock.atMs + (Date.now() - clock.realMs) * clock.speed;
const tell = (answer: StandInAnswer) => postMessage(answer);

/** The jug at a moment, at its own pace; the room where it stands in none. */
function jugC(atMs: number): number {
  const fromMs = curve[0]?.atMs ?? 0;
  const wantedMs = fromMs + (atMs - fromMs) * pace;
  const next = curve.findIndex((point) => point.atMs >= wantedMs);
  const [before, after] = [curve[next - 1], curve[next]];
  if (!after || !before) return (next === 0 ? curve[0] : curve.at(-1))?.tempC ?? roomC;
  const share = (wantedMs - before.atMs) / (after.atMs - before.atMs);
  return before.tempC + (after.tempC - before.tempC) * share;
}

setInterval(() => {
  const atMs = now();
  thermometer.into(jugC(atMs));
  const shown = thermometer.after((EACH_MS / 1000) * clock.speed);
  if (shown) tell({ kind: 'temperature', ...shown, atMs });
}, EACH_MS);
