import type { z } from '../zod';
import type { baseSchema, heatOfBaseSchema } from './baseSchema';

export const BASE_KINDS = ['soap', 'detergent-free', 'syndet'] as const;

export const BASE_LOOKS = ['clear', 'translucent', 'white', 'ivory', 'tinted'] as const;

export const SWEAT_GRADES = ['standard', 'low', 'none', 'unknown'] as const;

export const SET_SPEEDS = ['normal', 'fast', 'unknown'] as const;

export type Base = z.infer<typeof baseSchema>;

/** What heat asks of a base: of a piece that is set into another, no more of it is kept. */
export const HEAT_OF_BASE = {
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
} as const;

export type HeatOfBase = z.infer<typeof heatOfBaseSchema>;

export function heatOfBase(base: Base): HeatOfBase {
  return Object.fromEntries(
    Object.keys(HEAT_OF_BASE).map((key) => [key, base[key as keyof HeatOfBase]]),
  ) as HeatOfBase;
}
