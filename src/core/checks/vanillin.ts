import type { SheetLine, SheetPour } from '../plan/sheet';
import { writeFigure } from '../units/writeQuantity';
import type { Check, CheckContext, Found } from './finding';
import { PLAIN } from './plain';

/** Common practice, no source: equal parts of stabiliser and fragrance. */
const PARTS_OF_FRAGRANCE = 1;
/** Our own assumption: what a hand is off by anyway. */
const OUT_OF_STEP = 0.1;

/** Vanillin browns the soap: it needs a stabiliser in step with its fragrance, or a plan that is brown. */
export const vanillin: Check = (sheet, context) =>
  sheet.pours.flatMap((pour, pourIndex) => checkPour(pour, pourIndex, context));

function checkPour(pour: SheetPour, pourIndex: number, { shelf }: CheckContext): Found[] {
  const browning = pour.lines.filter((line) => vanillinOf(line) > 0 && line.massG > 0);
  if (browning.length === 0) return [];
  const stabilisers = pour.lines.filter(
    ({ material, massG }) => material.kind === 'additive' && material.role === 'stabiliser' && massG > 0,
  );
  const fragranceG = browning.reduce((sum, line) => sum + line.massG, 0);
  const stabiliserG = stabilisers.reduce((sum, line) => sum + line.massG, 0);
  const off = stabiliserG / (fragranceG * PARTS_OF_FRAGRANCE) - 1;
  const about = [...new Set(browning.map((line) => line.blend ?? line.material.name))].join(', ');
  const common = { ...PLAIN, pourIndex, about };
  const [stabiliser] = stabilisers;
  if (stabiliser) {
    if (Math.abs(off) <= OUT_OF_STEP) return [];
    const text = `${writeFigure((fragranceG / pour.baseG) * PARTS_OF_FRAGRANCE * 100, 4)} %`;
    return [
      {
        ...common,
        code: 'stabiliser-out-of-step',
        severity: off < 0 ? 'caution' : 'note',
        doseIndexes: stabilisers.map(({ doseIndex }) => doseIndex),
        stabiliser: stabiliser.material.name,
        off,
        fix:
          stabilisers.length === 1
            ? [
                {
                  kind: 'set-dose',
                  pourIndex,
                  doseIndex: stabiliser.doseIndex,
                  text: inStep(pour, browning) ? '= fragrance' : text,
                },
              ]
            : null,
      },
    ];
  }
  const onShelf = shelf?.materials.find(
    (material) => material.kind === 'additive' && material.role === 'stabiliser' && !material.archived,
  );
  return [
    {
      ...common,
      code: 'vanillin-browns',
      severity: 'caution',
      doseIndexes: [...new Set(browning.map(({ doseIndex }) => doseIndex))],
      vanillinOfBase: browning.reduce((sum, line) => sum + line.ofBase * vanillinOf(line), 0),
      stabiliser: onShelf?.name ?? null,
      fix: onShelf
        ? [
            {
              kind: 'add-dose',
              pourIndex,
              materialId: onShelf.id,
              text: inStep(pour, browning)
                ? '= fragrance'
                : `${writeFigure((fragranceG / pour.baseG) * PARTS_OF_FRAGRANCE * 100, 4)} %`,
            },
          ]
        : null,
    },
  ];
}

/** True when every fragrance of the pour has vanillin, so that `= fragrance` says the right weight. */
function inStep(pour: SheetPour, browning: SheetLine[]): boolean {
  return pour.lines.filter(({ material }) => material.kind === 'fragrance').length === browning.length;
}

function vanillinOf({ material }: SheetLine): number {
  return material.kind === 'fragrance' ? (material.vanillinOfMaterial ?? 0) : 0;
}
