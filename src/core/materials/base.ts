import { z } from '../zod';
import { common, density, fraction, temperatureC, unknownOr } from './fields';

export const BASE_KINDS = ['soap', 'detergent-free', 'syndet'] as const;
export const BASE_LOOKS = ['clear', 'translucent', 'white', 'ivory', 'tinted'] as const;
export const SWEAT_GRADES = ['standard', 'low', 'none', 'unknown'] as const;
export const SET_SPEEDS = ['normal', 'fast', 'unknown'] as const;

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

export type Base = z.infer<typeof baseSchema>;

/** What heat asks of a base: of a piece that is set into another, no more of it is kept. */
export const heatOfBaseSchema = baseSchema.pick({
  name: true,
  baseKind: true,
  setSpeed: true,
  standsHeat: true,
  meltsC: true,
  setsC: true,
  setsOverK: true,
  latentJG: true,
  heatCapacityJGK: true,
  conductivityWMK: true,
  densityGPerMl: true,
});

export type HeatOfBase = z.infer<typeof heatOfBaseSchema>;

export function heatOfBase(base: Base): HeatOfBase {
  return Object.fromEntries(
    Object.keys(heatOfBaseSchema.shape).map((key) => [key, base[key as keyof HeatOfBase]]),
  ) as HeatOfBase;
}
