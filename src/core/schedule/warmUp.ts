import { USUAL_EVAPORATION } from '../heat/air';
import { meet } from '../heat/bond';
import { CELLS_BELOW, emptyCavity, endsOf, layerSlabs, sideWM3K } from '../heat/cavity';
import { conduct } from '../heat/conduct';
import { coolJug } from '../heat/jug';
import { skinDepthM } from '../heat/skin';
import { poured } from '../heat/stack';
import { SILICONE, SOAP } from '../heat/substance';

const CAVITY = {
  areaM2: 0.0093,
  perimeterM: 0.388,
  widthM: 0.085,
  wall: { substance: SILICONE, thicknessM: 0.003 },
};
const AROUND = {
  room: { tempC: 21, humidity: 0.5 },
  evaporating: USUAL_EVAPORATION,
  filmWM2K: 8,
  lossScale: 1,
};

/** Runs every part of the model once, so that the first plan finds it compiled. */
export function warmUp() {
  const ends = endsOf(CAVITY, AROUND);
  const slabs = layerSlabs(SOAP, 0.02, 54, sideWM3K(CAVITY, AROUND, SOAP));
  const stack = poured(emptyCavity(CAVITY, AROUND), slabs);
  conduct(stack, ends, 3600, (_, now) => skinDepthM(now, CELLS_BELOW) > 0.01);
  meet(stack, CELLS_BELOW, slabs, ends);
  coolJug({ holdsMl: 500, contentG: 300 }, SOAP, 70, AROUND, 3600);
}
