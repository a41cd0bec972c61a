import { fail, ok, type Result } from '../result';
import { parseMass } from '../units/parseMass';
import type { UnitSystem } from '../units/showQuantity';

/** Weights as they were written down, one a line or apart by semicolons. */
export interface WeightsRead {
  weightsG: number[];
  /** null while there is none. */
  meanG: number | null;
  leastG: number | null;
  mostG: number | null;
}

/** The first line that is no weight. */
export interface WeightsFault {
  code: 'not-a-weight';
  text: string;
}

const MOST_G = 1e6;

/** @param system in which a bare number is */
export function parseWeights(text: string, system: UnitSystem): Result<WeightsRead, WeightsFault> {
  const weightsG: number[] = [];
  for (const part of text.split(/[\n;]+|\s{2,}/).map((each) => each.trim())) {
    if (part === '') continue;
    // Bare numbers may stand in one line, apart by spaces.
    for (const each of /^[\d.,\s]+$/.test(part) ? part.split(/\s+/) : [part]) {
      const read = parseMass(each, system);
      if (!read.success || !(read.data > 0) || read.data > MOST_G)
        return fail({ code: 'not-a-weight', text: each });
      weightsG.push(read.data);
    }
  }
  if (weightsG.length === 0) return ok({ weightsG, meanG: null, leastG: null, mostG: null });
  return ok({
    weightsG,
    meanG: weightsG.reduce((sum, each) => sum + each, 0) / weightsG.length,
    leastG: Math.min(...weightsG),
    mostG: Math.max(...weightsG),
  });
}
