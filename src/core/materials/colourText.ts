import type { FieldText } from '../records/fieldText';
import { fail, ok } from '../result';
import { writeFigure } from '../units/writeQuantity';
import { type ColourMatch, matchSchema } from './colorant';
import { hexColour } from './fields';

/** A colour as text. */
export const colourField: FieldText<string> = {
  write: (value) => value,
  read(text) {
    const colour = text.trim().toLowerCase();
    return hexColour.safeParse(colour).success
      ? ok(colour)
      : fail(`“${text.slice(0, 24)}” is not a colour. Write # and six digits: #2f5d8a.`);
  },
};

/** A matched sample as text. */
export const matchText: FieldText<ColourMatch> = {
  write: ({ on, colour, ofBase, look, thicknessMm }) =>
    `${on} ${colour} at ${writeFigure(ofBase * 100, 8)} % in ${look} of ${writeFigure(thicknessMm, 6)} mm`,
  read(text) {
    const parts = /^(\S+) (\S+) at ([\d.]+) % in (\S+) of ([\d.]+) mm$/.exec(text.trim());
    const read = matchSchema.safeParse({
      on: parts?.[1],
      colour: parts?.[2]?.toLowerCase(),
      ofBase: Number((Number(parts?.[3]) / 100).toPrecision(12)),
      look: parts?.[4],
      thicknessMm: Number(parts?.[5]),
    });
    return read.success
      ? ok(read.data)
      : fail(
          `“${text.slice(0, 40)}” is not a sample. Write it like: 2026-11-25 #2f5d8a at 0.4 % in white of 25 mm.`,
        );
  },
};
