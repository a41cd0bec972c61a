import { additive, base, planFile } from '../tests/support/planFiles';

const POURS = 8;
const MATERIALS = 20;

/** Prints the plan file of 8 pours with 20 materials each, for the browser. */
console.log(
  JSON.stringify(
    planFile(
      Array.from({ length: POURS }, (_, p) => ({
        base: base({ id: `wide-base-${p}`, name: `Wide base ${p}` }),
        doses: Array.from({ length: MATERIALS }, (_, d): [ReturnType<typeof additive>, string] => [
          additive({ id: `wide-${d}`, name: `Wide ${d}`, role: 'other' }),
          '0.2 %',
        ]),
      })),
      { name: 'Eight pours', pieces: 96 },
    ),
  ),
);
