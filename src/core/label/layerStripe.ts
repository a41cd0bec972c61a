import { pourTint } from '../colour/pourTint';
import type { Sheet } from '../plan/sheet';
import type { Box } from './typeset';

/** A layer of one plan's pieces, with how much of them it is. */
export interface Layer {
  /** sRGB, # and six digits. */
  hex: string;
  /** Fraction of what was poured. */
  share: number;
}

/** The layers of what is sold as a stripe in their colours: one column for each plan, each from its floor up. */
export interface LayerStripe {
  box: Box;
  /** Where each layer lies in the stripe. */
  layers: { hex: string; box: Box }[];
}

/** Of the line around it, by which white layers are seen on white paper. */
export const EDGE_MM = 0.1;
const STRIPE_MM = 3;
/** A column of several is no narrower. */
const COLUMN_MM = 1;
/** Between the stripe and what is written. */
const APART_MM = 1.5;

/** The layers that stay in a piece, from the floor up, by the volume that is poured; empty where nothing stays. */
export function layersOf({ pours }: Pick<Sheet, 'pours'>): Layer[] {
  const kept = pours.filter(({ way, intoMoldMl }) => !way.trimmed && intoMoldMl > 0);
  const wholeMl = kept.reduce((sum, { intoMoldMl }) => sum + intoMoldMl, 0);
  return kept.map((pour) => ({ hex: pourTint(pour).hex, share: pour.intoMoldMl / wholeMl }));
}

/** A stripe along the left edge of a place, and the room that it leaves. */
export function withStripe(
  box: Box,
  plans: readonly (readonly Layer[])[],
): { room: Box; stripe: LayerStripe | null } {
  const shown = plans.filter((layers) => layers.length > 0);
  if (shown.length === 0) return { room: box, stripe: null };
  const widthMm = Math.max(STRIPE_MM, shown.length * COLUMN_MM);
  const takenMm = widthMm + APART_MM;
  const columnMm = widthMm / shown.length;
  return {
    room: { ...box, xMm: box.xMm + takenMm, widthMm: Math.max(1, box.widthMm - takenMm) },
    stripe: {
      box: { ...box, widthMm },
      layers: shown.flatMap((layers, column) => {
        let footMm = box.yMm + box.heightMm;
        return layers.map(({ hex, share }) => {
          const heightMm = share * box.heightMm;
          footMm -= heightMm;
          return { hex, box: { xMm: box.xMm + column * columnMm, yMm: footMm, widthMm: columnMm, heightMm } };
        });
      }),
    },
  };
}
