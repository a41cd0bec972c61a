import { bySeverity } from '../bySeverity';
import type { Finding } from '../finding';
import { identified, placesOf } from '../identified';
import { breaksThrough } from './breaksThrough';
import { freezer } from './freezer';
import { grainMoves } from './grainMoves';
import type { HeatCheck, HeatContext } from './heatCheck';
import { hotOnSkin } from './hotOnSkin';
import { jugTooThick } from './jugTooThick';
import { neverOut } from './neverOut';
import { pointsMelt } from './pointsMelt';
import { sweats } from './sweats';
import { weakBond } from './weakBond';

const HEAT_CHECKS: readonly HeatCheck[] = [
  breaksThrough,
  weakBond,
  jugTooThick,
  grainMoves,
  freezer,
  sweats,
  pointsMelt,
  hotOnSkin,
  neverOut,
];

/** Everything the pour plan tells against the plan, gravest first, but for what the clock tells. */
export function heatFindings(context: HeatContext): Finding[] {
  const found = HEAT_CHECKS.flatMap((check) => check(context));
  return bySeverity(identified(found, placesOf(context.sheet)));
}
