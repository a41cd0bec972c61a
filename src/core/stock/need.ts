import type { Sheet } from '../plan/sheet';

/** What a plan takes off the shelf. */
export interface Need {
  materialId: string;
  name: string;
  massG: number;
}

/** Everything a sheet weighs, each material once, also what leaves the jug again. */
export function needOf(sheet: Sheet): Need[] {
  const needs = new Map<string, Need>();
  const add = (materialId: string, name: string, massG: number) => {
    const known = needs.get(materialId);
    needs.set(materialId, { materialId, name, massG: (known?.massG ?? 0) + massG });
  };
  for (const pour of sheet.pours) {
    add(pour.base.id, pour.base.name, pour.baseG);
    for (const { material, massG } of pour.lines) add(material.id, material.name, massG);
  }
  return [...needs.values()].filter(({ massG }) => massG > 0);
}
