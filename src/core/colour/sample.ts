import { hexOf, lightOf } from './rgb';

/** The colour of a spot of a picture: the mean of its light, not of its bytes. Red, green, blue and opacity in turn. */
export function averageHex(pixels: ArrayLike<number>): string {
  const sum: [number, number, number] = [0, 0, 0];
  let count = 0;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    // Beyond the edge of a picture there is nothing.
    if (!pixels[at + 3]) continue;
    const bytes = [pixels[at], pixels[at + 1], pixels[at + 2]];
    const light = lightOf(`#${bytes.map((byte = 0) => byte.toString(16).padStart(2, '0')).join('')}`);
    for (const band of [0, 1, 2] as const) sum[band] += light[band];
    count++;
  }
  return hexOf([sum[0] / (count || 1), sum[1] / (count || 1), sum[2] / (count || 1)]);
}
