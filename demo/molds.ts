import type { Mold } from '../src/core/molds/mold';

// Invented molds of the invented workshop.

const common = { madeOf: 'silicone', highestC: 230, shrinkageFraction: null, boughtFrom: '' } as const;

export const MOLDS: readonly Mold[] = [
  {
    id: 'slab-six',
    name: 'Slab bar tray',
    cavities: 6,
    capacityMl: 104,
    measuredBy: 'water',
    shape: { kind: 'box', lengthMm: 84, widthMm: 56, depthMm: 22, draftDeg: 0, cornerMm: 0 },
    usualFillFraction: 0.95,
    measures: [
      { by: 'water', on: '2026-01-18', capacityMl: 103.6 },
      { by: 'water', on: '2026-03-02', capacityMl: 104.4 },
    ],
    ...common,
    boughtFrom: 'Quay market, the second stall',
    note: 'Bought for the first market.',
  },
  {
    id: 'puck-eight',
    name: 'Round puck tray',
    cavities: 8,
    capacityMl: 79,
    measuredBy: 'water',
    shape: { kind: 'cylinder', diameterMm: 64, depthMm: 25 },
    usualFillFraction: 0.95,
    measures: [],
    ...common,
    note: 'Stiff rim.',
  },
  {
    id: 'pebble-24',
    name: 'Guest pebbles',
    cavities: 24,
    capacityMl: 16.4,
    measuredBy: 'one-piece',
    shape: { kind: 'hemisphere', diameterMm: 40 },
    usualFillFraction: 0.96,
    measures: [{ by: 'one-piece', on: '2026-02-09', capacityMl: 16.4 }],
    ...common,
    madeOf: 'thin-plastic',
    highestC: 60,
    note: 'Half balls; weighed one piece.',
  },
];
