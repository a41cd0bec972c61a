import { CELLS_BELOW, emptyCavity, endsOf, layerSlabs, sideWM3K } from '../heat/cavity';
import { conduct } from '../heat/conduct';
import { coolJug, jugAtC } from '../heat/jug';
import { coreC } from '../heat/skin';
import { poured } from '../heat/stack';
import { substanceOf } from '../heat/substanceOf';
import type { Reading } from '../heat/taught';
import { fitLossScale, type LossScale, scaleByTouch, type TeachFault } from '../heat/teach';
import type { Sheet } from '../plan/sheet';
import type { Result } from '../result';
import { NOMINAL } from './factors';
import { type HeatCase, heatCaseOf } from './heatCase';
import type { PourRules } from './pourRules';
import { simulate, surroundingsOf } from './simulate';

/** What is to be learnt of, and from what. */
export type TeachRequest =
  | { of: 'jug'; holdsMl: number; contentG: number; pourIndex: number; readings: Reading[]; roomC: number }
  | { of: 'mold'; readings: Reading[]; roomC: number }
  /** The layer carried so long after it was poured; the layers below were poured after these waits. */
  | { of: 'touch'; layerIndex: number; waits: number[]; carriedS: number };

/** How readily a jug or a mold loses heat, by readings or by touch. */
export function teach(
  sheet: Sheet,
  rules: PourRules,
  request: TeachRequest,
): Result<Pick<LossScale, 'scale' | 'spread'> & Partial<LossScale>, TeachFault> {
  const heat = { ...heatCaseOf(sheet, rules), moldLearnt: null };
  switch (request.of) {
    case 'jug':
      return teachJug(request, sheet, heat);
    case 'mold':
      return teachMold(request, heat);
    case 'touch':
      return teachByTouch(request, heat);
  }
}

type Of<Which extends TeachRequest['of']> = Extract<TeachRequest, { of: Which }>;

/** By what was read in a jug that stood and cooled. */
function teachJug(
  { readings, roomC, contentG, holdsMl, pourIndex }: Of<'jug'>,
  sheet: Sheet,
  heat: HeatCase,
) {
  const pour = sheet.pours[pourIndex];
  if (!pour) throw new RangeError('a jug of no pour');
  const substance = substanceOf(pour.base);
  return fitLossScale(readings, roomC, (scale, startC, timesS) => {
    const around = inRoom(heat, roomC, scale);
    const moments = coolJug({ holdsMl, contentG }, substance, startC, around, (timesS.at(-1) ?? 0) + 1);
    return timesS.map((timeS) => jugAtC(moments, timeS));
  });
}

/** By what was read in the middle of the first pour of a mold. */
function teachMold({ readings, roomC }: Of<'mold'>, heat: HeatCase) {
  const [layer] = heat.layers;
  if (!layer) throw new RangeError('a case without a layer');
  const { cavity, substance, thicknessM } = layer;
  return fitLossScale(readings, roomC, (scale, startC, timesS) => {
    const around = inRoom(heat, roomC, scale);
    const slabs = layerSlabs(substance, thicknessM, startC, sideWM3K(cavity, around, substance));
    const stack = poured(emptyCavity(cavity, around), slabs);
    const moments = [{ timeS: 0, tempC: startC }];
    conduct(stack, endsOf(cavity, around), (timesS.at(-1) ?? 0) + 1, (timeS, now) => {
      moments.push({ timeS, tempC: coreC(now, CELLS_BELOW) });
      return false;
    });
    return timesS.map((timeS) => jugAtC(moments, timeS));
  });
}

function inRoom(heat: HeatCase, roomC: number, lossScale: number) {
  return { ...surroundingsOf({ ...heat, room: { ...heat.room, tempC: roomC } }, NOMINAL), lossScale };
}

function teachByTouch({ carriedS, layerIndex, waits }: Of<'touch'>, heat: HeatCase) {
  return scaleByTouch(carriedS, (scale) => {
    const own = {
      ...heat,
      layers: heat.layers.slice(0, layerIndex + 1),
      moldLearnt: { scale, spread: 0 },
    };
    return simulate(own, NOMINAL, (index) => waits[index] ?? 0).layers[layerIndex]?.skinS ?? 0;
  });
}
