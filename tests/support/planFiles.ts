import type { Base, DosedMaterial } from '../../src/core/materials/material';
import type { Mold } from '../../src/core/molds/mold';
import { dose, PLAN_FILE_FORMAT, PLAN_FILE_VERSION, type PlanFile } from '../../src/core/plan/plan';
import { makeSheet, type Sheet } from '../../src/core/plan/sheet';

/** Records that only a check uses; every field can be set. */
export function base(over: Partial<Base> = {}): Base {
  return {
    id: 'base-1',
    kind: 'base',
    name: 'Test base',
    note: '',
    baseKind: 'soap',
    look: 'clear',
    densityGPerMl: 1.05,
    fragranceCapOfBase: 0.03,
    additionsCapOfBase: 0.1,
    ceilingC: null,
    ...over,
  };
}

export function fragrance(over: Partial<Extract<DosedMaterial, { kind: 'fragrance' }>> = {}): DosedMaterial {
  return {
    id: 'scent-1',
    kind: 'fragrance',
    name: 'Test scent',
    note: '',
    densityGPerMl: 0.95,
    skin: 'released',
    maxOfProduct: 0.05,
    readings: [],
    ...over,
  };
}

export function additive(over: Partial<Extract<DosedMaterial, { kind: 'additive' }>> = {}): DosedMaterial {
  return {
    id: 'extra-1',
    kind: 'additive',
    name: 'Test extra',
    note: '',
    role: 'active',
    densityGPerMl: 1.1,
    bulkDensityGPerMl: null,
    skin: 'released',
    maxOfProduct: null,
    readings: [],
    ...over,
  };
}

export function mold(over: Partial<Mold> = {}): Mold {
  return {
    id: 'mold-1',
    name: 'Test mold',
    cavities: 6,
    capacityMl: 100,
    measuredBy: 'water',
    shape: { kind: 'capacity-only' },
    usualFillFraction: 1,
    note: '',
    ...over,
  };
}

interface FilePour {
  base?: Base;
  parts?: number;
  doses?: [DosedMaterial, string][];
}

/** A plan file from its pours; materials are gathered from them. */
export function planFile(pours: FilePour[], plan: Partial<PlanFile['plan']> = {}, inMold = mold()): PlanFile {
  const materials = new Map<string, Base | DosedMaterial>();
  for (const pour of pours) {
    const itsBase = pour.base ?? base();
    materials.set(itsBase.id, itsBase);
    for (const [material] of pour.doses ?? []) materials.set(material.id, material);
  }
  return {
    format: PLAN_FILE_FORMAT,
    version: PLAN_FILE_VERSION,
    plan: {
      name: 'Test plan',
      use: 'body',
      moldId: inMold.id,
      pieces: 6,
      fillFraction: 1,
      jugLossFraction: 0,
      note: '',
      pours: pours.map((pour) => ({
        baseId: (pour.base ?? base()).id,
        size: { by: 'parts', parts: pour.parts ?? 1 },
        doses: (pour.doses ?? []).map(([material, text]) => dose(material.id, text)),
      })),
      ...plan,
    },
    mold: inMold,
    materials: [...materials.values()],
  };
}

export function sheetOf(file: PlanFile): Sheet {
  const made = makeSheet(file);
  if (!made.success) throw new Error(`no sheet: ${made.error.code}`);
  return made.data;
}

/** Asserting within a relative error, for figures that are exact but for rounding. */
export function isClose(actual: number, expected: number, relative = 1e-9): boolean {
  return Math.abs(actual - expected) <= relative * Math.max(1e-300, Math.abs(expected));
}
