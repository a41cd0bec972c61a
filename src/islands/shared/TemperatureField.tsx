import { useMemo } from 'react';
import type { UnitSystem } from '../../core/units/showQuantity';
import { FigureField } from './FigureField';

interface Props {
  label: string;
  tempC: number;
  leastC: number;
  mostC: number;
  system: UnitSystem;
  className?: string;
  onChange(tempC: number): void;
}

/** A temperature in the unit of the house; it is kept in degrees Celsius. */
export function TemperatureField({ label, tempC, leastC, mostC, system, className, onChange }: Props) {
  const isF = system === 'us';
  const rule = useMemo(
    () =>
      isF
        ? { unit: '°F', least: Math.ceil(leastC * 1.8 + 32), most: Math.floor(mostC * 1.8 + 32) }
        : { unit: '°C', least: leastC, most: mostC },
    [isF, leastC, mostC],
  );
  return (
    <FigureField
      label={label}
      value={isF ? Number((tempC * 1.8 + 32).toFixed(1)) : tempC}
      rule={rule}
      className={className}
      onChange={(value) => onChange(isF ? Number(((value - 32) / 1.8).toFixed(3)) : value)}
    />
  );
}
