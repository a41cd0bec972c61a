/** What a thermometer does to what it is in. */
export interface ThermometerMake {
  stepK: number;
  /** One standard deviation of what it shows when nothing changes, K. */
  noiseK: number;
  /** It has come to within a third of a change after so long, s. */
  lagS: number;
}

export const KITCHEN_THERMOMETER: ThermometerMake = { stepK: 0.1, noiseK: 0.1, lagS: 4 };

/** A thermometer that is not there: what it stands in is said, and it shows what a real one would. */
export interface StandInThermometer {
  /** What it stands in from now on, °C. */
  into(tempC: number): void;
  plug(isIn: boolean): void;
  /** What it shows after so much more time, s; null while it is unplugged. */
  after(seconds: number): { tempC: number; isStable: boolean } | null;
}

/** Shown as stable while it moves by less, K a second. */
const STABLE_K_PER_S = 0.1;

/** @param random between 0 and 1, from a seed */
export function standInThermometer(
  make: ThermometerMake,
  roomC: number,
  random: () => number,
): StandInThermometer {
  let aroundC = roomC;
  let feltC = roomC;
  let isIn = true;
  return {
    into(tempC) {
      aroundC = tempC;
    },
    plug(next) {
      isIn = next;
    },
    after(seconds) {
      const before = feltC;
      feltC += (aroundC - feltC) * (1 - Math.exp(-seconds / make.lagS));
      if (!isIn) return null;
      // The sum of three even ones, less their mean, has half a unit of deviation.
      const noise = make.noiseK * (random() + random() + random() - 1.5) * 2;
      const shown = Math.round((feltC + noise) / make.stepK) * make.stepK;
      return {
        tempC: Number(shown.toFixed(3)),
        isStable: Math.abs(feltC - before) < STABLE_K_PER_S * seconds,
      };
    },
  };
}
