import { isInherited, type SheetLine, type SheetPour } from '../plan/sheet';
import { writeFigure } from '../units/writeQuantity';
import type { Check, CheckContext, Found } from './finding';
import { PLAIN } from './plain';
import { ownDoses } from './timesDoses';

/** Common practice, no source: equal parts of stabiliser and fragrance. */
const PARTS_OF_FRAGRANCE = 1;
/** Our own assumption: what a hand is off by anyway. */
const OUT_OF_STEP = 0.1;

/** Vanillin browns the soap: it needs a stabiliser in step with its fragrance, or a plan that is brown. */
export const vanillin: Check = (sheet, context) =>
  sheet.pours.flatMap((pour, pourIndex) => checkPour(pour, pourIndex, context));

function checkPour(pour: SheetPour, pourIndex: number, { shelf }: CheckContext): Found[] {
  // What came with base that is melted again browns on, and is stabilised by what came with it.
  const lines = pour.inherited.length > 0 ? [...pour.lines, ...pour.inherited] : pour.lines;
  const browning = lines.filter((line) => vanillinOf(line) > 0 && line.massG > 0);
  if (browning.length === 0) return [];
  const stabilisers = lines.filter(
    ({ material, massG }) => material.kind === 'additive' && material.role === 'stabiliser' && massG > 0,
  );
  const fragranceG = browning.reduce((sum, line) => sum + line.massG, 0);
  const stabiliserG = stabilisers.reduce((sum, line) => sum + line.massG, 0);
  const off = stabiliserG / (fragranceG * PARTS_OF_FRAGRANCE) - 1;
  const about = [...new Set(browning.map((line) => line.blend ?? line.material.name))].join(', ');
  const common = { ...PLAIN, pourIndex, about };
  const own = stabilisers.filter((line) => !isInherited(line));
  const cameG = stabiliserG - own.reduce((sum, line) => sum + line.massG, 0);
  const missing = Math.max(0, ((fragranceG * PARTS_OF_FRAGRANCE - cameG) / pour.baseG) * 100);
  const [stabiliser = stabilisers[0]] = own;
  if (stabiliser) {
    if (Math.abs(off) <= OUT_OF_STEP) return [];
    const text = `${writeFigure(missing, 4)} %`;
    return [
      {
        ...common,
        code: 'stabiliser-out-of-step',
        severity: off < 0 ? 'caution' : 'note',
        doseIndexes: ownDoses(own),
        stabiliser: stabiliser.material.name,
        off,
        fix:
          own.length === 1 && missing > 0
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
      doseIndexes: ownDoses(browning),
      vanillinOfBase: browning.reduce((sum, line) => sum + line.ofBase * vanillinOf(line), 0),
      stabiliser: onShelf?.name ?? null,
      fix: onShelf
        ? [
            {
              kind: 'add-dose',
              pourIndex,
              materialId: onShelf.id,
              text: inStep(pour, browning) ? '= fragrance' : `${writeFigure(missing, 4)} %`,
            },
          ]
        : null,
    },
  ];
}

/** True when every fragrance of the pour has vanillin, so that `= fragrance` says the right weight. */
function inStep(pour: SheetPour, browning: SheetLine[]): boolean {
  const scents = pour.lines.filter(({ material }) => material.kind === 'fragrance');
  return pour.inherited.length === 0 && scents.length === browning.length;
}

function vanillinOf({ material }: SheetLine): number {
  return material.kind === 'fragrance' ? (material.vanillinOfMaterial ?? 0) : 0;
}
