import type { Light } from './rgb';

/** Lightness 0 to 100, and two opponent colours. */
export type Lab = readonly [lightness: number, greenRed: number, blueYellow: number];

/** The white of daylight D65, as XYZ with its Y at one (IEC 61966-2-1). */
const WHITE = [0.9504559270516716, 1, 1.0890577507598784] as const;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** Linear light to CIE L*a*b* under D65 (CIE 15; matrix of IEC 61966-2-1). */
export function labOf([r, g, b]: Light): Lab {
  const x = 0.4123907992659593 * r + 0.357584339383878 * g + 0.1804807884018343 * b;
  const y = 0.2126390058715102 * r + 0.7151686787677559 * g + 0.0721923153607337 * b;
  const z = 0.0193308187155918 * r + 0.119194779794626 * g + 0.9505321522496607 * b;
  const [fx, fy, fz] = [x / WHITE[0], y / WHITE[1], z / WHITE[2]].map((share) =>
    share > EPSILON ? Math.cbrt(share) : (KAPPA * share + 16) / 116,
  ) as [number, number, number];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

const DEG = Math.PI / 180;
const hueDeg = (a: number, b: number) => (a === 0 && b === 0 ? 0 : (Math.atan2(b, a) / DEG + 360) % 360);

/**
 * How far apart two colours look, CIEDE2000: 1 is just seen side by side.
 *
 * G. Sharma, W. Wu, E. N. Dalal, The CIEDE2000 color-difference formula, 2005, equations 2 to 22.
 */
export function ciede2000(one: Light, other: Light): number {
  const [l1, a1, b1] = labOf(one);
  const [l2, a2, b2] = labOf(other);
  const meanC = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const g = 0.5 * (1 - Math.sqrt(meanC ** 7 / (meanC ** 7 + 25 ** 7)));
  const [p1, p2] = [a1 * (1 + g), a2 * (1 + g)];
  const [c1, c2] = [Math.hypot(p1, b1), Math.hypot(p2, b2)];
  const [h1, h2] = [hueDeg(p1, b1), hueDeg(p2, b2)];
  const isGrey = c1 * c2 === 0;
  const turn = h2 - h1;
  const dh = isGrey ? 0 : turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  const [dl, dc, dH] = [l2 - l1, c2 - c1, 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEG)];
  const [l, c] = [(l1 + l2) / 2, (c1 + c2) / 2];
  const sum = h1 + h2;
  const h = isGrey ? sum : Math.abs(turn) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  const t =
    1 -
    0.17 * Math.cos((h - 30) * DEG) +
    0.24 * Math.cos(2 * h * DEG) +
    0.32 * Math.cos((3 * h + 6) * DEG) -
    0.2 * Math.cos((4 * h - 63) * DEG);
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c * t;
  const turned = 30 * Math.exp(-(((h - 275) / 25) ** 2));
  const rt = -2 * Math.sqrt(c ** 7 / (c ** 7 + 25 ** 7)) * Math.sin(2 * turned * DEG);
  return Math.sqrt((dl / sl) ** 2 + (dc / sc) ** 2 + (dH / sh) ** 2 + rt * (dc / sc) * (dH / sh));
}
