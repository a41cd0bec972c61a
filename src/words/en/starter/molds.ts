import type { Mold } from '../../../core/molds/mold';
import { UNKNOWN_MOLD } from '../../../core/molds/unknownMold';

// Molds as they are commonly sold. Their capacity is a usual one until the user's own is measured.

const common = {
  ...UNKNOWN_MOLD,
  measuredBy: 'usual',
  madeOf: 'silicone',
  usualFillFraction: 0.95,
} as const satisfies Partial<Mold>;

const box = (lengthMm: number, widthMm: number, depthMm: number): Mold['shape'] => ({
  kind: 'box',
  lengthMm,
  widthMm,
  depthMm,
  draftDeg: 0,
  cornerMm: 0,
});

export const STARTER_MOLDS: readonly Mold[] = [
  { ...common, id: 'usual-bar', name: 'Bar of 100 mL', cavities: 6, capacityMl: 100, shape: box(80, 50, 25) },
  {
    ...common,
    id: 'usual-loaf',
    name: 'Loaf of 1 L',
    cavities: 1,
    capacityMl: 1000,
    shape: box(200, 80, 62.5),
    sliceMm: 25,
  },
  {
    ...common,
    id: 'usual-rounds',
    name: 'Small rounds',
    cavities: 12,
    capacityMl: 30,
    shape: { kind: 'cylinder', diameterMm: 45, depthMm: 18.863 },
  },
  {
    ...common,
    id: 'usual-tray',
    name: 'Tray of 2 L',
    cavities: 1,
    capacityMl: 2000,
    shape: box(250, 200, 40),
  },
];
