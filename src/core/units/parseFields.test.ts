import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { type FigureRule, parseFigure } from './parseFigure';
import { parseMass } from './parseMass';

const percent: FigureRule = { unit: '%', least: 5, most: 100 };
const pieces: FigureRule = { unit: '', least: 1, most: 100_000, whole: true };

const figure = (text: string, rule: FigureRule) => {
  const parsed = parseFigure(text, rule);
  return parsed.success ? parsed.data : parsed.error.code;
};

test('a field takes a bare number in its own unit, written in any way', () => {
  assert.deepEqual(
    ['95', '95 %', '95%', '12,5', '12 ½'].map((text) => figure(text, percent)),
    [95, 95, 95, 12.5, 12.5],
  );
});

test('and refuses the rest with a reason', () => {
  assert.deepEqual(
    ['', '-1', '101', '4', '95 g', 'NaN', '1e400', '1,250'].map((text) => figure(text, percent)),
    [
      'empty',
      'negative',
      'too-large',
      'too-small',
      'not-only-a-number',
      'no-number',
      'not-only-a-number',
      'ambiguous-number',
    ],
  );
  assert.equal(figure('2,5', pieces), 'not-whole');
});

test('a field of millilitres or grams takes any volume or weight, and never one for the other', () => {
  const millilitres: FigureRule = { unit: 'mL', least: 0.5, most: 50_000 };
  const grams: FigureRule = { unit: 'g', least: 0, most: 1e6 };
  assert.equal(figure('4 fl oz', millilitres), 4 * 29.5735295625);
  assert.equal(figure('½ L', millilitres), 500);
  assert.equal(figure('4 oz', millilitres), 'not-only-a-number');
  assert.equal(figure('1 lb', grams), 453.59237);
  assert.equal(figure('10 fl oz', grams), 'not-only-a-number');
});

test('no text makes a field throw', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const parsed = parseFigure(text, percent);
      if (!parsed.success) assert.ok(explainFigureFault(parsed.error, percent).length > 5);
    }),
  );
});

test('a weight without a unit is in the unit of the scale', () => {
  assert.deepEqual(parseMass('7,9', 'metric'), { success: true, data: 7.9 });
  assert.deepEqual(parseMass('1', 'us'), { success: true, data: 28.349523125 });
  assert.deepEqual(parseMass('1 oz', 'metric'), { success: true, data: 28.349523125 });
  assert.equal(parseMass('2 %', 'metric').success, false);
});

test('a length and a temperature may be typed in another unit than the field’s', () => {
  const mm: FigureRule = { unit: 'mm', least: 1, most: 2000 };
  assert.deepEqual(
    ['8', '8 mm', '2.5 cm', '2,5cm', '1 in', '1 ½ in', '3"', '0.5 m', '1 ft'].map((text) => figure(text, mm)),
    [8, 8, 25, 25, 25.4, 38.1, 76.2, 500, 'not-only-a-number'],
  );
  const celsius: FigureRule = { unit: '°C', least: 20, most: 120 };
  const fahrenheit: FigureRule = { unit: '°F', least: 68, most: 248 };
  assert.deepEqual(
    ['60', '60 °C', '140 °F', '140F', '140'].map((text) => figure(text, celsius)),
    [60, 60, 60, 60, 'too-large'],
  );
  assert.deepEqual(
    ['140', '140 F', '60 °C'].map((text) => figure(text, fahrenheit)),
    [140, 140, 140],
  );
});
