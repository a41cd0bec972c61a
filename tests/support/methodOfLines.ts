import { createRequire } from 'node:module';
import { surfaceLossWM2 } from '../../src/core/heat/air';
import type { Substance } from '../../src/core/heat/substance';

/** What is used of the solver: it ships sources that are not checked as ours are, so it is not imported by its types. */
interface GeneralSolver {
  solve(
    rates: (x: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
    onStep: (step: number, before: number, now: number, y: number[]) => boolean | undefined,
  ): unknown;
}
const { Solver } = createRequire(import.meta.url)('odex') as {
  Solver: new (unknowns: number) => GeneralSolver;
};

/** A layer for the method of lines: soap on whatever carries it. */
export interface Lines {
  substance: Substance;
  thicknessM: number;
  cells: number;
  tempC: number;
  sideWM3K: number;
}

/**
 * Heat through a stack that only cools, by the method of lines: enthalpies of cells as ordinary differential equations,
 * given to a general solver (E. Hairer, S. P. Nørsett and G. Wanner, Solving Ordinary Differential Equations I, ODEX). It
 * shares no line with the finite volumes but the loss at a free surface.
 *
 * @param onStep temperatures and times; true stops
 */
export function methodOfLines(
  layers: readonly Lines[],
  room: { tempC: number; humidity: number },
  lengthM: number,
  untilS: number,
  onStep: (timeS: number, tempC: readonly number[], liquid: readonly number[]) => boolean,
  tolerance = 1e-7,
): void {
  const cells = layers.flatMap((layer) =>
    Array.from({ length: layer.cells }, () => ({ ...layer, dx: layer.thicknessM / layer.cells })),
  );
  const stateOf = (heat: number, { melting, heatCapacityJKgK: c }: Substance) => {
    if (!melting) return { tempC: heat / c, liquid: 0 };
    const { solidusC: low, liquidusC: high, latentJKg } = melting;
    if (heat <= c * low) return { tempC: heat / c, liquid: 0 };
    if (heat >= c * high + latentJKg) return { tempC: (heat - latentJKg) / c, liquid: 1 };
    const liquid = (heat - c * low) / (c * (high - low) + latentJKg);
    return { tempC: low + liquid * (high - low), liquid };
  };
  const start = cells.map(({ substance: { heatCapacityJKgK, melting }, tempC }) => {
    const share = melting
      ? Math.min(1, Math.max(0, (tempC - melting.solidusC) / (melting.liquidusC - melting.solidusC)))
      : 0;
    return heatCapacityJKgK * tempC + (melting?.latentJKg ?? 0) * share;
  });
  const solid = ({ conductivityWMK, melting }: Substance, liquid: number) =>
    conductivityWMK + ((melting?.liquidConductivityWMK ?? conductivityWMK) - conductivityWMK) * liquid;
  const rates = (_: number, heats: number[]) => {
    const states = cells.map(({ substance }, at) => stateOf(heats[at] ?? 0, substance));
    const half = cells.map(({ substance, dx }, at) => (2 * solid(substance, states[at]?.liquid ?? 0)) / dx);
    const flux = Array.from({ length: cells.length + 1 }, (_, at) => {
      const [below, above] = [states[at - 1], states[at]];
      if (!below) return -surface((x) => 8 * (x - room.tempC), half[0] ?? 1, above?.tempC ?? 0);
      if (!above)
        return surface((x) => surfaceLossWM2(x, room, lengthM, below.liquid), half[at - 1] ?? 1, below.tempC);
      const [a, b] = [half[at - 1] ?? 1, half[at] ?? 1];
      return ((a * b) / (a + b)) * (below.tempC - above.tempC);
    });
    return cells.map(({ substance, dx, sideWM3K }, at) => {
      const through = (flux[at] ?? 0) - (flux[at + 1] ?? 0);
      const beside = sideWM3K * dx * ((states[at]?.tempC ?? 0) - room.tempC);
      return (through - beside) / (substance.densityKgM3 * dx);
    });
  };
  const solver = new Solver(cells.length);
  // Enthalpies are of the order of 1e5 J/kg.
  Object.assign(solver, { absoluteTolerance: tolerance * 1e5, relativeTolerance: tolerance, maxSteps: 1e7 });
  solver.solve(rates, 0, start, untilS, (_n, _before, timeS, heats) => {
    const states = cells.map(({ substance }, at) => stateOf(heats[at] ?? 0, substance));
    return onStep(
      timeS,
      states.map(({ tempC }) => tempC),
      states.map(({ liquid }) => liquid),
    )
      ? false
      : undefined;
  });
}

/** The flux at which the half cell gives what the surface loses, by bisection. */
function surface(loss: (surfaceC: number) => number, half: number, insideC: number): number {
  let [low, high] = [insideC - 60, insideC + 60];
  for (let turn = 0; turn < 50; turn++) {
    const middle = (low + high) / 2;
    if (half * (insideC - middle) > loss(middle)) low = middle;
    else high = middle;
  }
  return half * (insideC - (low + high) / 2);
}
