import type { FigureRule } from '../../core/units/parseFigure';

/** A figure of the house rules, in the unit of its field. */
interface FigureSpec {
  key:
    | 'jugLossFraction'
    | 'fillFraction'
    | 'headspaceFraction'
    | 'cutStepG'
    | 'leastMeltG'
    | 'microwaveW'
    | 'readingErrorMost'
    | 'gritBodyMm'
    | 'gritFaceMm';
  label: string;
  /** One of the field in the record. */
  perOne: number;
  rule: FigureRule;
}

export const FIGURES: FigureSpec[] = [
  {
    key: 'jugLossFraction',
    label: 'Stays in the jug, of a new plan',
    perOne: 0.01,
    rule: { unit: '%', least: 0, most: 50 },
  },
  {
    key: 'fillFraction',
    label: 'Usual fill of a new mold',
    perOne: 0.01,
    rule: { unit: '%', least: 5, most: 100 },
  },
  {
    key: 'headspaceFraction',
    label: 'Headspace that a jug needs',
    perOne: 0.01,
    rule: { unit: '%', least: 0, most: 60 },
  },
  {
    key: 'cutStepG',
    label: 'What base can be cut to',
    perOne: 1,
    rule: { unit: 'g', least: 0.1, most: 500 },
  },
  {
    key: 'leastMeltG',
    label: 'Least that melts well, of a new plan',
    perOne: 1,
    rule: { unit: 'g', least: 0, most: 5000 },
  },
  {
    key: 'microwaveW',
    label: 'What the microwave is sold as',
    perOne: 1,
    rule: { unit: 'W', least: 200, most: 3000 },
  },
  {
    key: 'readingErrorMost',
    label: 'Largest reading error of a scale',
    perOne: 0.01,
    rule: { unit: '%', least: 0.1, most: 50 },
  },
  {
    key: 'gritBodyMm',
    label: 'Largest grain of grit',
    perOne: 1,
    rule: { unit: 'mm', least: 0.01, most: 10 },
  },
  {
    key: 'gritFaceMm',
    label: 'Largest grain for a face',
    perOne: 1,
    rule: { unit: 'mm', least: 0.01, most: 10 },
  },
];
