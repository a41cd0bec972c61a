import type { PourLayer, PourPlan } from '../../core/schedule/pourPlan';
import type { Showing } from '../../core/units/showQuantity';
import { onAxis } from '../shared/chartAxes';

const AFTER_MIN = 40;

/** What is drawn of one pour: minutes from when it is poured, temperatures in the unit of the axis. */
export interface CurvesOfPour {
  layer: PourLayer;
  jug: PourLayer['jugs'][number];
  /** Of the layer below. */
  lettersBelow: string;
  windowMin: { from: number; to: number } | null;
  fromMin: number;
  toMin: number;
  low: number;
  high: number;
  jugLine: { min: number; jug: number; jugRange: [low: number, high: number] }[];
  layerLine: { min: number; core: number; top: number }[];
}

/** null for a pour that has no jug of its own. */
export function curvesOf(pourPlan: PourPlan, pourIndex: number, showing: Showing): CurvesOfPour | null {
  const place = pourPlan.layers.findIndex(({ pourIndexes }) => pourIndexes.includes(pourIndex));
  const layer = pourPlan.layers[place];
  const jug = layer?.jugs.find((each) => each.pourIndex === pourIndex) ?? layer?.jugs[0];
  if (!layer || !jug) return null;
  const shown = (tempC: number) => onAxis(tempC, showing);
  const min = (seconds: number) => seconds / 60;
  const poured = jug.pouredAfterS;
  const toMin = Math.min(AFTER_MIN, Math.max(12, min(layer.skin.high) * 1.6));
  const jugLine = jug.curve
    .map(({ timeS, tempC }) => ({
      min: min(timeS - poured),
      jug: shown(tempC.middle),
      jugRange: [shown(tempC.low), shown(tempC.high)] as [number, number],
    }))
    .filter((each) => each.min <= toMin);
  const { window } = layer;
  return {
    layer,
    jug,
    lettersBelow: pourPlan.layers[place - 1]?.letters ?? '',
    windowMin: window && {
      from: min(window.earliest.middle - layer.afterS),
      to: min(window.latest.middle - layer.afterS),
    },
    fromMin: min(-poured),
    toMin,
    low: Math.floor(shown(layer.tooThickC - 4) / 5) * 5,
    high: Math.ceil(Math.max(...jugLine.map(({ jugRange }) => jugRange[1]), shown(layer.atC + 4)) / 5) * 5,
    jugLine,
    layerLine: layer.curve
      .map(({ timeS, coreC, topC }) => ({ min: min(timeS), core: shown(coreC), top: shown(topC) }))
      .filter((each) => each.min <= toMin),
  };
}
