import type { Substance } from '../../src/core/heat/substance';

/** A long bar in cross-section, with films on its four faces. */
export interface CrossSection {
  substance: Substance;
  widthM: number;
  heightM: number;
  startC: number;
  roomC: number;
  /** Through the walls beside, W/m²K; above and below. */
  besideWM2K: number;
  endWM2K: number;
  /** Cells a side. */
  cells: number;
}

/**
 * Seconds until the warmest place of a cross-section is as cold as this, in two dimensions: explicit steps in enthalpy, the
 * plainest scheme there is.
 */
export function coreInTwoDimensionsS(bar: CrossSection, atC: number): number {
  const { substance, widthM, heightM, startC, roomC, besideWM2K, endWM2K, cells } = bar;
  const { densityKgM3: rho, heatCapacityJKgK: c, conductivityWMK: k, melting } = substance;
  if (!melting) throw new RangeError('it does not set');
  const [dx, dy] = [widthM / cells, heightM / cells];
  const stepS = (0.2 * Math.min(dx, dy) ** 2 * rho * c) / k;
  const range = melting.liquidusC - melting.solidusC;
  const tempOf = (heat: number) => {
    const [low, high] = [c * melting.solidusC, c * melting.liquidusC + melting.latentJKg];
    if (heat <= low) return heat / c;
    if (heat >= high) return (heat - melting.latentJKg) / c;
    return melting.solidusC + (range * (heat - low)) / (high - low);
  };
  const heat = new Float64Array(cells * cells).fill(
    c * startC + melting.latentJKg * Math.min(1, Math.max(0, (startC - melting.solidusC) / range)),
  );
  const temp = new Float64Array(cells * cells);
  const beside = 1 / (1 / besideWM2K + dx / 2 / k);
  const end = 1 / (1 / endWM2K + dy / 2 / k);
  for (let timeS = 0; ; timeS += stepS) {
    let warmest = Number.NEGATIVE_INFINITY;
    for (let at = 0; at < heat.length; at++) {
      temp[at] = tempOf(heat[at] ?? 0);
      warmest = Math.max(warmest, temp[at] ?? 0);
    }
    if (warmest <= atC) return timeS;
    for (let y = 0; y < cells; y++)
      for (let x = 0; x < cells; x++) {
        const at = y * cells + x;
        const here = temp[at] ?? 0;
        const gain = (isIn: boolean, other: number, film: number, spacing: number) =>
          isIn ? (k * ((temp[other] ?? 0) - here)) / spacing / spacing : (film * (roomC - here)) / spacing;
        const perM3 =
          gain(x > 0, at - 1, beside, dx) +
          gain(x < cells - 1, at + 1, beside, dx) +
          gain(y > 0, at - cells, end, dy) +
          gain(y < cells - 1, at + cells, end, dy);
        heat[at] = (heat[at] ?? 0) + (perM3 * stepS) / rho;
      }
  }
}
