/** Shares of light in the three bands that a screen shows: red, green, blue; linear, 0 to 1. */
export type Light = readonly [red: number, green: number, blue: number];

/** A colour as a page writes it, in linear light. The text must have passed its schema. */
export function lightOf(hex: string): Light {
  const byte = (at: number) => decode(Number.parseInt(hex.slice(at, at + 2), 16) / 255);
  return [byte(1), byte(3), byte(5)];
}

/** The nearest colour that a page can write; what a screen can't show is brought to its edge. */
export function hexOf(light: Light): string {
  const bytes = light.map((band) => Math.round(encode(Math.min(1, Math.max(0, band))) * 255));
  return `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
}

export function perBand(figure: (band: 0 | 1 | 2) => number): Light {
  return [figure(0), figure(1), figure(2)];
}

// Transfer functions of sRGB (IEC 61966-2-1).
function decode(value: number): number {
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
}

function encode(value: number): number {
  return value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055;
}
