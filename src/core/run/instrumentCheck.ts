import type { Quantity } from './keptReadings';

/** An instrument beside what is known: a check weight, or ice water. */
export interface InstrumentCheck {
  id: string;
  instrument: string;
  quantity: Quantity;
  /** ISO 8601. */
  at: string;
  /** What is known, and what it showed, g or °C. */
  reference: number;
  shown: number;
}

/** Crushed ice that stands in its own melt (ITS-90: the ice point is 0.00 °C to within a hundredth; from memory). */
export const ICE_POINT_C = 0;

/** How far off it was: above zero where it shows too much, g or K. */
export function deviationOf({ shown, reference }: Pick<InstrumentCheck, 'shown' | 'reference'>): number {
  return shown - reference;
}

/** The last check of an instrument before a moment; null where there was none. */
export function lastCheckBefore(
  checks: readonly InstrumentCheck[],
  instrument: string,
  quantity: Quantity,
  at: string,
): InstrumentCheck | null {
  return (
    checks
      .filter(
        (check) => isSame(check.instrument, instrument) && check.quantity === quantity && check.at <= at,
      )
      .toSorted((a, b) => a.at.localeCompare(b.at))
      .at(-1) ?? null
  );
}

function isSame(a: string, b: string): boolean {
  return a.trim().toLowerCase() === b.trim().toLowerCase();
}
