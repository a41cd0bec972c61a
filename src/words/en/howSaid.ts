import type { SheetLine } from '../../core/plan/sheet';

/** How a line came into the plan: what was typed, of which blend, or that it only wets another. */
export function howSaid({ text, wets, blend }: Pick<SheetLine, 'text' | 'wets' | 'blend'>): string {
  if (wets) return 'to wet it';
  return blend ? `${text} ${blend}` : text;
}
