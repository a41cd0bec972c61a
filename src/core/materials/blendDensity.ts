import type { BlendShare } from './blend';
import { type Figure, stirredDensity } from './defaults';

/**
 * What a millilitre of a blend weighs: the volumes of its members add up, each at its own density or at a usual one where
 * nobody knows it.
 */
export function blendDensity(shares: readonly BlendShare[]): Figure {
  const figures = shares.map(({ material, share }) => ({ share, ...stirredDensity(material) }));
  return {
    value: 1 / figures.reduce((sum, { share, value }) => sum + share / value, 0),
    assumed: figures.some(({ assumed }) => assumed),
  };
}
