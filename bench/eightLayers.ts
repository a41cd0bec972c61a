import { additive, BOX, base, planFile } from '../tests/support/planFiles';

const POURS = 8;
const MATERIALS = 4;

/** Prints the plan file of 8 pours of 3 mm in a box, for a boundary to be dragged. */
console.log(
  JSON.stringify(
    planFile(
      Array.from({ length: POURS }, (_, p) => ({
        size: p === POURS - 1 ? 'rest' : '3 mm',
        base: base({ id: `layer-base-${p}`, name: `Layer base ${p}` }),
        doses: Array.from({ length: MATERIALS }, (_, d): [ReturnType<typeof additive>, string] => [
          additive({ id: `layer-${d}`, name: `Layer ${d}`, role: 'other' }),
          '0.2 %',
        ]),
      })),
      { name: 'Eight layers' },
      { ...BOX, id: 'layer-mold', name: 'Layer mold' },
    ),
  ),
);
