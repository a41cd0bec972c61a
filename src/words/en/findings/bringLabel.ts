import type { PlanEdit } from '../../../core/checks/planEdit';

/** “Bring down to 13 drops”: a single dose as it will be typed, several by what they come to together. */
export function bringLabel(way: 'down' | 'up', fix: readonly PlanEdit[] | null, ofBase: string): string {
  const [only, ...others] = fix ?? [];
  const isOther = only?.kind === 'set-dose' && others.length === 0 && !/%\s*$/.test(only.text);
  return `Bring ${way} to ${isOther ? only.text : ofBase}`;
}
