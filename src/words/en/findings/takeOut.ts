import type { Found } from '../../../core/checks/finding';

/** What takes something out of a pour: its dose goes, or all that it came with. */
export function takeOutLabel({ fix }: Pick<Found, 'fix'>): string {
  return isMeltedAgain({ fix }) ? 'Melt fresh base instead' : 'Take it out';
}

/** Where it comes from, if it was not dosed; nothing else. */
export function cameWords({ fix }: Pick<Found, 'fix'>): string {
  return isMeltedAgain({ fix }) ? ' It comes with what is melted again.' : '';
}

function isMeltedAgain({ fix }: Pick<Found, 'fix'>): boolean {
  return fix?.[0]?.kind === 'fresh-base';
}
