import type { AirDoes } from '../../../core/rack/rackAir';

/** What the air of the rack does to bars of some bases. */
export function airWords(does: AirDoes, names: readonly string[]): string {
  const bars = names.join(', ');
  switch (does) {
    case 'draws-water':
      return `${bars}: draws water from this air and sweats. Wrap it, or dry the room.`;
    case 'near':
      return `${bars}: a little damper, and it draws water. Wrap it before the night.`;
    case 'dries':
      return `${bars}: loses weight in air as dry as this while it is not wrapped.`;
    case 'steady':
      return `${bars}: keeps well in this air.`;
  }
}
