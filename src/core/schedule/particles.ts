import { thinnestThatStaysM } from '../heat/embedTips';
import { SUSPENSION_YIELD_PA, settledM, USUAL_FLOW } from '../heat/settle';
import { CARRIES_LIQUID } from '../heat/skin';
import { meltsToC, SOAP } from '../heat/substance';
import { substanceOf } from '../heat/substanceOf';
import { isInherited, type Sheet } from '../plan/sheet';
import type { HeatLayer } from './heatCase';
import type { Grain, Tip } from './pourPlan';
import type { LayerTimes } from './simulate';

const STAYS_MM = 1;
const TRIED_K = 0.5;

/** Where the grit and the petals of a layer end up; of those whose size and density the shelf knows. */
export function grainsOf(sheet: Sheet, layer: HeatLayer, { moments }: Pick<LayerTimes, 'moments'>): Grain[] {
  const cooling = moments.map(({ timeS, coreC }) => ({ timeS, tempC: coreC }));
  return layer.pourIndexes.flatMap((pourIndex) => {
    const pour = sheet.pours[pourIndex];
    if (!pour) return [];
    const flow = { ...USUAL_FLOW, yieldPa: pour.base.suspension === true ? SUSPENSION_YIELD_PA : 0 };
    return [...pour.lines, ...pour.inherited].flatMap((line): Grain[] => {
      const { material, doseIndex } = line;
      if (material.kind !== 'additive' || material.grainMm === null || material.densityGPerMl === null)
        return [];
      if (material.role !== 'grit' && material.role !== 'botanical') return [];
      const grain = { diameterM: material.grainMm / 1000, densityKgM3: material.densityGPerMl * 1000 };
      const roomMm = layer.thicknessM * 1000;
      const movesFrom = (fromC: number) => {
        const since = cooling.filter(({ tempC }) => tempC <= fromC);
        const movedMm =
          settledM(grain, layer.substance.densityKgM3, flow, layer.substance.melting, since) * 1000;
        return Math.max(-roomMm, Math.min(roomMm, movedMm));
      };
      let staysBelowC: number | null = null;
      for (let tempC = layer.atC; tempC >= layer.tooThickC; tempC -= TRIED_K) {
        if (Math.abs(movesFrom(tempC)) <= STAYS_MM) {
          staysBelowC = tempC;
          break;
        }
      }
      return [
        {
          pourIndex,
          doseIndex: isInherited(line) ? null : doseIndex,
          name: material.name,
          movesMm: movesFrom(Number.POSITIVE_INFINITY),
          staysBelowC,
        },
      ];
    });
  });
}

/** Which parts of what is set into a layer would melt. What keeps its shape in hot soap is left out. */
export function tipsOf(sheet: Sheet, layer: HeatLayer, roomC: number): Tip[] {
  return layer.pourIndexes.flatMap((pourIndex) =>
    (sheet.pours[pourIndex]?.embeds ?? []).flatMap((embed): Tip[] => {
      if (embed.kind === 'piece' || embed.ofBase?.standsHeat) return [];
      // Of what is in the scrap jar nobody knows the base: usual soap.
      const soap = embed.ofBase ? substanceOf(embed.ofBase) : SOAP;
      const thinnestM = thinnestThatStaysM(soap, roomC, layer.substance, layer.atC, layer.thicknessM);
      if (thinnestM === 0) return [];
      return [
        {
          pourIndex,
          embedIndex: embed.embedIndex,
          name: embed.name,
          thinnestMm: thinnestM === null ? null : thinnestM * 1000,
          // A point takes the heat of the pour: it stays while no more of it melts than still carries.
          pointsStayBelowC: meltsToC(soap.melting, CARRIES_LIQUID),
          soapAssumed: embed.ofBase === null,
        },
      ];
    }),
  );
}
