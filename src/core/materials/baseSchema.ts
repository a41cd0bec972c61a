import { z } from '../zod';
import { BASE_KINDS, BASE_LOOKS, HEAT_OF_BASE, SET_SPEEDS, SWEAT_GRADES } from './base';
import { unknownOr } from './fields';
import { common, density, fraction, temperatureC } from './fieldsSchema';

/** A block of ready-made soap or syndet. Caps are fractions of the base's own weight. */
export const baseSchema = z.strictObject({
  ...common,
  kind: z.literal('base'),
  baseKind: z.enum(BASE_KINDS),
  look: z.enum(BASE_LOOKS),
  /** What is worked into it, such as shea or goat milk. */
  contains: z.string().max(200),
  /** Whether grit stays where it was stirred. */
  suspension: unknownOr(z.boolean()),
  sweat: z.enum(SWEAT_GRADES),
  setSpeed: z.enum(SET_SPEEDS),
  /** Whether a few minutes in the freezer leave it dry. */
  bearsFreezer: unknownOr(z.boolean()),
  /** Whether a piece keeps its shape in hot soap that is poured round it. */
  standsHeat: unknownOr(z.boolean()),
  meltsC: temperatureC,
  thickensC: temperatureC,
  /** The base is spoilt when it gets hotter than this. */
  ceilingC: temperatureC,
  /** Relative humidity of the room above which a bar draws water; a usual figure of its sweat grade until then. */
  sweatsAbove: unknownOr(fraction).default(null),
  /** It begins to set at this while it cools, and all of it is set so many kelvins below; typical of its kind until then. */
  setsC: temperatureC.default(null),
  setsOverK: unknownOr(z.number().min(3).max(30)).default(null),
  /** What the heat model takes from it, where a data sheet tells: typical of its kind until then. */
  latentJG: unknownOr(z.number().min(5).max(200)).default(null),
  heatCapacityJGK: unknownOr(z.number().min(1).max(5)).default(null),
  conductivityWMK: unknownOr(z.number().min(0.05).max(1)).default(null),
  /** Hours after unmolding until it is fully hard. */
  hardensH: unknownOr(z.number().min(0).max(1000)),
  densityGPerMl: density,
  fragranceCapOfBase: unknownOr(fraction),
  oilsCapOfBase: unknownOr(fraction),
  liquidsCapOfBase: unknownOr(fraction),
  /** All additions together. */
  additionsCapOfBase: unknownOr(fraction),
  /** Whether grit counts to them; as is usual for its kind until then. */
  gritCounts: unknownOr(z.boolean()).default(null),
});

export const heatOfBaseSchema = baseSchema.pick(HEAT_OF_BASE);
