import { fail, ok, type Result } from '../../core/result';
import { MINOR_DIGITS, moneyOf } from '../../core/units/money';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { writeFigure } from '../../core/units/writeQuantity';
import { z } from '../../core/zod';
import { FIELD_FAULTS } from '../../words/en/records/fieldFaults';
import { explainFigureFault } from '../../words/en/units/figureFault';

/** What reading a record's text may need besides the text. */
export interface TextContext {
  /** The mark that stands for a decimal in this file; a form takes both. */
  decimal: '.' | ',' | 'either';
  /** The id of a material by its name, in any case. */
  idOf(name: string): string | undefined;
  /** What a material is called in a text; its id where there is no better name. */
  nameOf(id: string): string;
}

/** A value of a record as text that is read back as itself: in a form's field, in a cell of a CSV file. */
export interface FieldText<Value> {
  write(value: Value, context: TextContext): string;
  /** The value, or one sentence on what is wrong and how to fix it. */
  read(text: string, context: TextContext): Result<Value, string>;
}

const DECIMALS = 10;

/** A figure in the unit of its field; `perOne` is what one of the field's unit is in the record: 0.01 for percent. */
export function figureField(rule: FigureRule, perOne = 1): FieldText<number> {
  return {
    write: (value, { decimal }) => {
      const written = writeFigure(value / perOne, DECIMALS);
      return decimal === ',' ? written.replace('.', ',') : written;
    },
    read(text, { decimal }) {
      const plain = plainDecimal(text, decimal);
      if (plain === null) return fail(FIELD_FAULTS.pointAndComma(text));
      const parsed = parseFigure(plain, rule);
      return parsed.success
        ? ok(Number((parsed.data * perOne).toPrecision(15)))
        : fail(explainFigureFault(parsed.error, rule));
    },
  };
}

function plainDecimal(text: string, decimal: TextContext['decimal']): string | null {
  if (decimal !== ',') return text;
  return text.includes('.') ? null : text.replace(',', '.');
}

/** An amount of money, kept as a decimal text. */
export function moneyField(rule: FigureRule): FieldText<string> {
  const figure = figureField(rule);
  return {
    write: (value, context) => figure.write(Number(value), context),
    read(text, context) {
      const read = figure.read(text, context);
      return read.success ? ok(moneyOf(Math.round(read.data * 10 ** MINOR_DIGITS))) : read;
    },
  };
}

/** Empty means that nobody knows. */
export function unknownField<Value>(field: FieldText<Value>): FieldText<Value | null> {
  return {
    write: (value, context) => (value === null ? '' : field.write(value, context)),
    read: (text, context) => (text.trim() === '' ? ok(null) : field.read(text, context)),
  };
}

/** Empty means that there is none: the record leaves it out. */
export function absentField<Value>(field: FieldText<Value>): FieldText<Value | undefined> {
  return {
    write: (value, context) => (value === undefined ? '' : field.write(value, context)),
    read: (text, context) => (text.trim() === '' ? ok(undefined) : field.read(text, context)),
  };
}

/** One of some codes; a file may also hold what the code is called. */
export function choiceField<Code extends string>(names: Record<Code, string>): FieldText<Code> {
  const codes = Object.keys(names) as Code[];
  return {
    write: (value) => value,
    read(text) {
      const wanted = text.trim().toLowerCase();
      const code = codes.find((each) => each === wanted || names[each].toLowerCase() === wanted);
      return code ? ok(code) : fail(FIELD_FAULTS.noneOf(text, codes));
    },
  };
}

const YES_NO = { yes: 'yes', no: 'no' } as const;

export const yesNoField: FieldText<boolean> = {
  write: (value) => (value ? 'yes' : 'no'),
  read(text, context) {
    const read = choiceField(YES_NO).read(text, context);
    return read.success ? ok(read.data === 'yes') : read;
  },
};

export function textField(longest: number): FieldText<string> {
  return {
    write: (value) => value,
    read: (text) => (text.length <= longest ? ok(text) : fail(FIELD_FAULTS.tooLong(longest))),
  };
}

export function nameField(longest: number): FieldText<string> {
  return {
    write: (value) => value,
    read(text) {
      const name = text.trim();
      if (name === '') return fail(FIELD_FAULTS.nameless());
      return name.length <= longest ? ok(name) : fail(FIELD_FAULTS.tooLong(longest));
    },
  };
}

const DAY = z.iso.date();

export const dayField: FieldText<string> = {
  write: (value) => value,
  read(text) {
    const day = text.trim();
    return DAY.safeParse(day).success ? ok(day) : fail(FIELD_FAULTS.noDay(day));
  },
};

const NONE = 'none';

/** Several of something, parted by semicolons; “none” says that there is nothing, which is not the same as unknown. */
export function listField<Item>(
  item: FieldText<Item>,
  { commas = false }: { commas?: boolean } = {},
): FieldText<Item[]> {
  return {
    write(values, context) {
      if (values.length === 0) return NONE;
      const written = values.map((value) => item.write(value, context)).join('; ');
      return commas && !written.includes(';') && /,\s/.test(written) ? `${written};` : written;
    },
    read(text, context) {
      if (text.trim().toLowerCase() === NONE) return ok([]);
      // A list from a pack is parted by commas; one inside a name, as in 1,2-hexanediol, has no space behind it.
      const parts = text.split(commas && !text.includes(';') ? /,\s+/ : ';');
      const values: Item[] = [];
      for (const part of parts.map((each) => each.trim()).filter((each) => each !== '')) {
        const read = item.read(part, context);
        if (!read.success) return read;
        values.push(read.data);
      }
      return ok(values);
    },
  };
}
