import type { ColourMatch } from '../../core/materials/colorant';
import { matchSchema } from '../../core/materials/colorantSchema';
import { hexColour } from '../../core/materials/fieldsSchema';
import { fail, ok } from '../../core/result';
import { writeFigure } from '../../core/units/writeQuantity';
import { FIELD_FAULTS } from '../../words/en/records/fieldFaults';
import type { FieldText } from './fieldText';

/** A colour as text. */
export const colourField: FieldText<string> = {
  write: (value) => value,
  read(text) {
    const colour = text.trim().toLowerCase();
    return hexColour.safeParse(colour).success ? ok(colour) : fail(FIELD_FAULTS.noColour(text));
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
    return read.success ? ok(read.data) : fail(FIELD_FAULTS.noSample(text));
  },
};
