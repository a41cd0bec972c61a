import type { Base, DosedMaterial, Material } from '../src/core/materials/material';

// Every name and figure here is invented.

function base(id: string, name: string, facts: Partial<Base>): Base {
  return {
    id,
    kind: 'base',
    name,
    note: '',
    baseKind: 'soap',
    look: 'clear',
    densityGPerMl: null,
    fragranceCapOfBase: 0.03,
    additionsCapOfBase: null,
    ceilingC: 71,
    ...facts,
  };
}

const common = { note: '', skin: 'released' as const, readings: [] };

function fragrance(
  id: string,
  name: string,
  densityGPerMl: number,
  maxOfProduct: number | null,
): DosedMaterial {
  return { ...common, id, kind: 'fragrance', name, densityGPerMl, maxOfProduct };
}

export const MATERIALS: readonly Material[] = [
  base('glaze', 'Glaze', { densityGPerMl: 1.06, note: 'Clear, our everyday base. 11.5 kg block.' }),
  base('chalk', 'Chalk', { look: 'white', densityGPerMl: 1.04 }),
  base('drystone', 'Drystone', { densityGPerMl: 1.05, note: 'Low sweat: may lie open for a few weeks.' }),
  base('hold', 'Hold', { densityGPerMl: 1.07, note: 'Suspension clear: grit stays where it is stirred.' }),
  base('cream-lane', 'Cream Lane', { look: 'ivory', note: 'Milk base. Density not measured yet.' }),
  base('softwater', 'Softwater', {
    baseKind: 'syndet',
    look: 'white',
    densityGPerMl: 1.03,
    fragranceCapOfBase: 0.02,
    additionsCapOfBase: 0.03,
    ceilingC: 68,
    note: 'Syndet: must not be called soap on a label.',
  }),

  fragrance('bay-rope', 'Bay & Rope', 0.94, 0.028),
  fragrance('lime-peel', 'Lime Peel oil', 0.86, 0.02),
  fragrance('harbour-mist', 'Harbour Mist', 0.97, 0.031),
  fragrance('bellmetal-rose', 'Bellmetal Rose', 0.99, null),
  {
    ...common,
    id: 'lamp-amber',
    kind: 'fragrance',
    name: 'Lamp Amber',
    densityGPerMl: 0.96,
    maxOfProduct: null,
    skin: 'not-released',
    note: 'Candles only. Kept on the top shelf.',
  },

  {
    ...common,
    id: 'slate-mica',
    kind: 'colorant',
    name: 'Slate mica',
    form: 'mica',
    densityGPerMl: 2.9,
    bulkDensityGPerMl: 0.3,
    maxOfProduct: null,
  },
  {
    ...common,
    id: 'quay-blue',
    kind: 'colorant',
    name: 'Quay Blue liquid',
    readings: [
      { of: 'drops', on: '2026-02-11', count: 20, massG: 0.89 },
      { of: 'drops', on: '2026-06-03', count: 20, massG: 0.94 },
    ],
    form: 'dye',
    densityGPerMl: 1.05,
    bulkDensityGPerMl: null,
    maxOfProduct: null,
  },
  {
    ...common,
    id: 'olive-grit',
    kind: 'additive',
    name: 'Olive-stone grit, fine',
    role: 'grit',
    densityGPerMl: 1.35,
    bulkDensityGPerMl: 0.62,
    maxOfProduct: null,
  },
  {
    ...common,
    id: 'oat-protein',
    kind: 'additive',
    name: 'Oat protein',
    role: 'active',
    densityGPerMl: 1.09,
    bulkDensityGPerMl: null,
    maxOfProduct: 0.02,
  },
  {
    ...common,
    id: 'panthenol',
    kind: 'additive',
    name: 'Panthenol 75 %',
    role: 'active',
    densityGPerMl: 1.15,
    bulkDensityGPerMl: null,
    maxOfProduct: 0.05,
  },
  {
    ...common,
    id: 'nettle-extract',
    kind: 'additive',
    name: 'Nettle extract',
    role: 'liquid',
    densityGPerMl: null,
    bulkDensityGPerMl: null,
    maxOfProduct: null,
  },
  {
    ...common,
    id: 'hemp-oil',
    kind: 'additive',
    name: 'Hemp-seed oil',
    role: 'oil',
    densityGPerMl: 0.925,
    bulkDensityGPerMl: null,
    maxOfProduct: null,
  },
];
