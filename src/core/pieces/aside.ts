import type { z } from '../zod';
import type { asideSchema } from './asideSchema';

/** Ends of loaves, what was cut off, melt that was left in a jug, drips and overpour, pieces. */
export const ASIDE_OF = ['ends', 'trimmed', 'left-over', 'drips', 'pieces'] as const;

/** Why something must not be melted again. */
export const WASTE_REASONS = ['dropped', 'dye-pockets', 'scorched', 'spoilt', 'other'] as const;

export type AsideOf = (typeof ASIDE_OF)[number];
export type WasteReason = (typeof WASTE_REASONS)[number];
export type AsideSaid = z.infer<typeof asideSchema>;
/** What was set aside, with its moment, ISO 8601. */
export type Aside = AsideSaid & { at: string };

/** Whether something is counted in pieces and no more among those of its round. */
export function isOfPieces({ of, pieces }: Pick<AsideSaid, 'of' | 'pieces'>): boolean {
  return of === 'pieces' && pieces !== null;
}
