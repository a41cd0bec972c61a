import type { Mold } from '../src/core/molds/mold';

// Invented molds of the invented workshop.

export const MOLDS: readonly Mold[] = [
  {
    id: 'slab-six',
    name: 'Slab bar tray',
    cavities: 6,
    capacityMl: 104,
    measuredBy: 'water',
    shape: { kind: 'box', lengthMm: 84, widthMm: 56, depthMm: 22 },
    usualFillFraction: 0.95,
    note: 'Silicone. Bought for the first market.',
  },
  {
    id: 'puck-eight',
    name: 'Round puck tray',
    cavities: 8,
    capacityMl: 79,
    measuredBy: 'water',
    shape: { kind: 'cylinder', diameterMm: 64, depthMm: 25 },
    usualFillFraction: 0.95,
    note: 'Silicone, stiff rim.',
  },
  {
    id: 'pebble-24',
    name: 'Guest pebbles',
    cavities: 24,
    capacityMl: 16.4,
    measuredBy: 'one-piece',
    shape: { kind: 'hemisphere', diameterMm: 40 },
    usualFillFraction: 0.96,
    note: 'Half balls; weighed one piece.',
  },
];
