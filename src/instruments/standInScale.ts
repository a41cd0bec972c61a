/** What a scale does to what lies on it. */
export interface ScaleMake {
  stepG: number;
  capacityG: number;
  /** One standard deviation of what it shows when nothing moves, g. */
  noiseG: number;
  /** It has come to within a third of a change after so long, s. */
  settlesS: number;
  /** So much it wanders in an hour, g. */
  driftGPerH: number;
}

export const KITCHEN_SCALE: ScaleMake = {
  stepG: 0.1,
  capacityG: 5000,
  noiseG: 0.02,
  settlesS: 0.3,
  driftGPerH: 0.5,
};

/** A scale that is not there: what lies on it is said, and it shows what a real one would. */
export interface StandInScale {
  /** Lays so much on it, or takes it off again where it is below nothing, g. */
  add(massG: number): void;
  tare(): void;
  plug(isIn: boolean): void;
  /** What it shows after so much more time, s; null while it is unplugged. */
  after(seconds: number): { massG: number; isStable: boolean } | 'overload' | null;
  loadG(): number;
}

/** Shown as stable when it has come so near to what lies on it, in steps. */
const STABLE_STEPS = 0.6;

/** @param random between 0 and 1, from a seed */
export function standInScale(make: ScaleMake, random: () => number): StandInScale {
  let loadG = 0;
  let feltG = 0;
  let tareG = 0;
  let driftG = 0;
  let isIn = true;
  return {
    add(massG) {
      loadG = Math.max(0, loadG + massG);
    },
    tare() {
      tareG = feltG + driftG;
    },
    plug(next) {
      isIn = next;
      // Switched on, it takes what lies on it for nothing.
      if (next) tareG = loadG + driftG;
    },
    after(seconds) {
      feltG += (loadG - feltG) * (1 - Math.exp(-seconds / make.settlesS));
      driftG += (make.driftGPerH * seconds) / 3600;
      if (!isIn) return null;
      if (feltG > make.capacityG) return 'overload';
      const noise = make.noiseG * (random() + random() + random() - 1.5) * 2;
      const shown = Math.round((feltG + driftG - tareG + noise) / make.stepG) * make.stepG;
      return {
        massG: Number(shown.toFixed(6)),
        isStable: Math.abs(loadG - feltG) < STABLE_STEPS * make.stepG,
      };
    },
    loadG: () => loadG,
  };
}
