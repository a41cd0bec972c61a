import type { Hazard } from '../../../core/run/hazards';

/** What to mind, in one line. */
export function hazardWords(hazard: Hazard): string {
  switch (hazard) {
    case 'hot-base':
      return 'Hot base burns and sticks: gloves, goggles.';
    case 'microwave':
      return 'Stay with the microwave. Nothing sealed, nothing of metal.';
    case 'hot-water':
      return 'Steam burns: lift the jug away from you. Keep water out of the base.';
    case 'alcohol':
      return 'Alcohol burns: no flame, no hot hob, window open.';
    case 'sharp':
      return 'Cut away from your hand.';
    case 'children':
      return 'Children and pets out of reach.';
  }
}

/** What is read once before anything gets hot. It stands in for no law and no training. */
export const BEFORE_IT_GETS_HOT: readonly string[] = [
  'Melted base is far hotter than it looks, and sticks where it lands. Apron, closed shoes, gloves and goggles; hair tied back. On the skin: cool running water for twenty minutes, do not pull it off, and see a doctor for anything larger than a coin or in the face.',
  'Alcohol catches fire, and so does its mist: no flame, no pilot light, no hot hob near it, and a window open. A grown-up sprays and pours.',
  'A microwave heats unevenly: short bursts, stirring between, never a sealed vessel, never left alone.',
  'Some fragrances and oils irritate or sensitise. Limits here are for healthy adults; try a bar yourself before you give one away.',
  'What you sell is under the cosmetics law, the insurance and the good practice of your country. Idle Tallow knows none of them.',
];
