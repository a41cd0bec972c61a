/** What light meets on its way through soap. */
export interface Layer {
  /** Shares that are absorbed and scattered on a straight way, a millimetre. */
  absorbed: number;
  scattered: number;
  /** Infinity for what hides everything behind it. */
  thicknessMm: number;
}

/** Scattered light goes every way through a layer, on average twice as far as straight on. */
const DIFFUSE = 2;

/** A plate of a kitchen dresser behind a clear bar. Our own assumption. */
export const BACKING = 0.9;

/**
 * Share of light that comes back from a layer on a white backing, in one band (P. Kubelka and F. Munk, 1931; the form
 * is P. Kubelka's of 1948). Where nothing scatters it is Lambert's law, there and back.
 */
export function reflectance({ absorbed, scattered, thicknessMm }: Layer, backing = BACKING): number {
  if (scattered < 1e-9) return backing * Math.exp(-2 * absorbed * thicknessMm);
  const a = 1 + (DIFFUSE * absorbed) / scattered;
  const b = Math.sqrt(Math.max(0, a * a - 1));
  const through = b * scattered * thicknessMm;
  // b · coth(b S X); at b = 0 its limit is 1 / (S X), and far in it is b.
  const bCoth = through < 1e-6 ? 1 / (scattered * thicknessMm) : b / Math.tanh(through);
  return (1 - backing * (a - bCoth)) / (a - backing + bCoth);
}

/**
 * How much must be absorbed for a layer to come out at a reflectance; the more, the darker. Zero when it is as bright
 * as it can be already.
 */
export function absorbedFor(
  target: number,
  { scattered, thicknessMm }: Pick<Layer, 'scattered' | 'thicknessMm'>,
  backing = BACKING,
): number {
  const at = (absorbed: number) => reflectance({ absorbed, scattered, thicknessMm }, backing);
  const wanted = Math.max(0.0005, target);
  if (at(0) <= wanted) return 0;
  let most = 1e-3;
  while (at(most) > wanted && most < 1e6) most *= 2;
  let least = 0;
  for (let step = 0; step < 60; step++) {
    const middle = (least + most) / 2;
    if (at(middle) > wanted) least = middle;
    else most = middle;
  }
  return (least + most) / 2;
}
