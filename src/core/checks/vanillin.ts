import type { SheetLine, SheetPour } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { writeFigure } from '../units/writeQuantity';
import type { Check, CheckContext, Finding } from './finding';

/** Common practice, no source: equal parts of stabiliser and fragrance. */
const PARTS_OF_FRAGRANCE = 1;
/** Our own assumption: what a hand is off by anyway. */
const OUT_OF_STEP = 0.1;

/** Vanillin browns the soap: it needs a stabiliser in step with its fragrance, or a plan that is brown. */
export const vanillin: Check = {
  code: 'vanillin',

  run: (sheet, context) => sheet.pours.flatMap((pour, pourIndex) => checkPour(pour, pourIndex, context)),

  say({ about, text = '', figures: { stabiliserG = 0, vanillinOfPour = 0, off = 0 }, mend }, { locale }) {
    if (stabiliserG > 0) {
      return {
        title: `${text} is out of step with ${about}`,
        reason: `It is ${showPercent(Math.abs(off), locale)} ${off < 0 ? 'less' : 'more'} than the fragrance that has vanillin in it; equal parts are usual.`,
        mendLabel: mend && 'Bring into step',
      };
    }
    return {
      title: `${about} will brown this pour`,
      reason: `It brings vanillin, ${showPercent(vanillinOfPour, locale)} of the base. Add a stabiliser in equal parts, or plan for brown.`,
      mendLabel: mend && `Add ${text}, = fragrance`,
    };
  },
};

function checkPour(pour: SheetPour, pourIndex: number, { shelf }: CheckContext): Finding[] {
  const browning = pour.lines.filter((line) => vanillinOf(line) > 0 && line.massG > 0);
  if (browning.length === 0) return [];
  const stabilisers = pour.lines.filter(
    ({ material, massG }) => material.kind === 'additive' && material.role === 'stabiliser' && massG > 0,
  );
  const fragranceG = browning.reduce((sum, line) => sum + line.massG, 0);
  const stabiliserG = stabilisers.reduce((sum, line) => sum + line.massG, 0);
  const off = stabiliserG / (fragranceG * PARTS_OF_FRAGRANCE) - 1;
  const about = [...new Set(browning.map((line) => line.blend ?? line.material.name))].join(', ');
  const common = { code: vanillin.code, pourIndex, about, assumed: false } as const;
  const figures = {
    stabiliserG,
    vanillinOfPour: browning.reduce((sum, line) => sum + line.ofBase * vanillinOf(line), 0),
    off,
  };
  const [stabiliser] = stabilisers;
  if (stabiliser) {
    if (Math.abs(off) <= OUT_OF_STEP) return [];
    const text = `${writeFigure((fragranceG / pour.baseG) * PARTS_OF_FRAGRANCE * 100, 4)} %`;
    return [
      {
        ...common,
        severity: off < 0 ? 'caution' : 'note',
        doseIndexes: stabilisers.map(({ doseIndex }) => doseIndex),
        text: stabiliser.material.name,
        figures,
        mend:
          stabilisers.length === 1
            ? [
                {
                  edit: 'set-dose',
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
      severity: 'caution',
      doseIndexes: [...new Set(browning.map(({ doseIndex }) => doseIndex))],
      text: onShelf?.name ?? '',
      figures,
      mend: onShelf
        ? [
            {
              edit: 'add-dose',
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
