import type { Base } from '../materials/base';
import type { Colorant } from '../materials/colorant';
import { usualMost } from '../materials/defaults';
import { absorbedFor, BACKING, type Layer, reflectance } from './reflectance';
import { hexOf, type Light, lightOf, perBand } from './rgb';

type Look = Base['look'];

/** A base without anything in it, at {@link USUAL_MM}. Our own assumption, from looking at poured samples. */
const BASE_COLOURS: Record<Look, string> = {
  clear: '#dbe6e4',
  translucent: '#e4ebe8',
  white: '#f6f4ec',
  ivory: '#f0e3c6',
  tinted: '#e2b865',
};
/**
 * How much a base scatters, a millimetre. Of a white one it only says how much paler a dose looks in it than in a clear
 * one. Our own assumption: a dose that is a pastel in white lets a tenth of the light through 25 mm of clear.
 */
const SCATTERED: Record<Look, number> = { clear: 0, translucent: 0.02, white: 0.1, ivory: 0.1, tinted: 0.05 };
/** A bar of these hides what is behind it, however thin the pour: it is seen from outside. */
const HIDES: ReadonlySet<Look> = new Set(['white', 'ivory', 'tinted']);
/** What a bar is looked through, when nobody says. */
export const USUAL_MM = 25;

/** Dose at which a colorant's own colour is told, where nobody has a usual one. Our own assumption. */
const TOLD_AT_OF_BASE = 0.005;

/** A colour that a pour will have. */
export interface Tint {
  hex: string;
  /** It rests on figures that nobody has matched to a sample. */
  isEstimate: boolean;
  /** Colorants whose colour is not known: they are not in it. */
  unknown: string[];
}

export interface Dosed {
  colorant: Colorant;
  ofBase: number;
}

/**
 * The colour of a base with colorants in it: absorption adds up dose by dose in each band, and the base's own
 * scattering makes pastels of it in a white base and leaves it vivid in a clear one.
 */
export function tintOf(look: Look, dosed: readonly Dosed[], thicknessMm: number): Tint {
  return {
    hex: hexOf(tintLight(look, dosed, thicknessMm)),
    isEstimate: dosed.some(({ colorant }) => colorant.match === null),
    unknown: dosed.flatMap(({ colorant }) => (strengthOf(colorant) ? [] : [colorant.name])),
  };
}

/** The same as light, not brought to what a page can write. */
export function tintLight(look: Look, dosed: readonly Dosed[], thicknessMm: number): Light {
  const layer = layerOf(look, thicknessMm);
  const known = dosed.flatMap(({ colorant, ofBase }) => {
    const strength = strengthOf(colorant);
    return strength ? [{ strength, ofBase }] : [];
  });
  const base = baseAbsorbed(look);
  const light = perBand((band) =>
    reflectance({
      absorbed: known.reduce((sum, { strength, ofBase }) => sum + strength[band] * ofBase, base[band]),
      ...layer,
    }),
  );
  return perBand((band) => light[band] / BACKING);
}

const STRENGTHS = new WeakMap<Colorant, Light | null>();

/** What a colorant absorbs a millimetre in each band, for a dose of one part of base; null when nobody has said. */
function strengthOf(colorant: Colorant): Light | null {
  const known = STRENGTHS.get(colorant);
  if (known !== undefined) return known;
  const strength = strengthSaid(colorant);
  STRENGTHS.set(colorant, strength);
  return strength;
}

function strengthSaid(colorant: Colorant): Light | null {
  const { colour, match } = colorant;
  if (match) return strengthFrom(match.colour, match.look, match.thicknessMm, match.ofBase);
  if (colour === null) return null;
  return strengthFrom(colour, 'white', USUAL_MM, toldAt(colorant));
}

/** The dose that shows a colour as it was told: the most that is usual, and for pigments and blocks less. */
function toldAt(colorant: Colorant): number {
  const most = usualMost(colorant);
  return most && (!most.assumed || colorant.form === 'mica' || colorant.form === 'dye')
    ? most.value
    : TOLD_AT_OF_BASE;
}

function strengthFrom(hex: string, look: Look, thicknessMm: number, ofBase: number): Light {
  const base = baseAbsorbed(look);
  const seen = lightOf(hex);
  return perBand((band) => {
    const absorbed = absorbedFor(seen[band] * BACKING, layerOf(look, thicknessMm));
    return Math.max(0, absorbed - base[band]) / ofBase;
  });
}

function layerOf(look: Look, thicknessMm: number): Pick<Layer, 'scattered' | 'thicknessMm'> {
  return {
    scattered: SCATTERED[look],
    thicknessMm: HIDES.has(look) ? Number.POSITIVE_INFINITY : thicknessMm,
  };
}

const ABSORBED = new Map<Look, Light>();

function baseAbsorbed(look: Look): Light {
  const known = ABSORBED.get(look);
  if (known) return known;
  const seen = lightOf(BASE_COLOURS[look]);
  const absorbed = perBand((band) => absorbedFor(seen[band] * BACKING, layerOf(look, USUAL_MM)));
  ABSORBED.set(look, absorbed);
  return absorbed;
}
