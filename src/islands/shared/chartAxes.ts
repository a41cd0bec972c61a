import { type Showing, showNumber, temperatureUnit } from '../../core/units/showQuantity';

const PLAIN = { type: 'number', stroke: 'currentColor', fontSize: 12 } as const;

/** The axis of minutes, with what its zero is. */
export function minutesAxis(label: string) {
  return {
    ...PLAIN,
    dataKey: 'min',
    tickFormatter: (value: number) => String(Math.round(value)),
    label: { value: label, position: 'insideBottom', offset: -13, fontSize: 12, fill: 'currentColor' },
  } as const;
}

/** The axis of temperatures, in the unit of the house. */
export function temperatureAxis({ system, locale }: Showing) {
  return {
    ...PLAIN,
    width: 44,
    tickFormatter: (value: number) => showNumber(value, 0, locale),
    label: {
      value: temperatureUnit(system),
      angle: -90,
      position: 'insideLeft',
      fontSize: 12,
      fill: 'currentColor',
    },
  } as const;
}

/** A temperature as the axis has it. */
export function onAxis(tempC: number, { system }: Showing): number {
  return system === 'us' ? tempC * 1.8 + 32 : tempC;
}
