import type { HouseChoices } from '../../core/houseRules/houseRules';

type Choice =
  | 'freezer'
  | 'pourCeiling'
  | 'fragranceBy'
  | 'micaIn'
  | 'spritz'
  | 'meltIn'
  | 'foodColour'
  | 'wrap'
  | 'batchCode'
  | 'units';

/** Where crafters differ: each choice with what speaks for it. */
export const CHOICES: {
  [Key in Choice]: { title: string; reason: string; options: Record<HouseChoices[Key], string> };
} = {
  freezer: {
    title: 'Freezer and fridge',
    reason:
      'A surface below the room’s dew point collects water, so a cold bar sweats when it comes out. Low-sweat bases bear minutes; hours make any bar tacky.',
    options: {
      brief: 'Ten minutes at most, after the skin: low-sweat bases, embeds, stubborn molds',
      never: 'Never: water on the surface costs more than the time it saves',
      freely: 'Freely, for hours but not overnight',
    },
  },
  pourCeiling: {
    title: 'Hottest pour on a set layer',
    reason: 'Hotter melts through the layer below, cooler parts from it later.',
    options: {
      '52': '52 °C (125 °F)',
      '54': '54 °C (130 °F)',
      touch: 'By touch: the jug feels warm, not hot',
    },
  },
  fragranceBy: {
    title: 'A new fragrance dose starts as',
    reason: 'A weight is the only exact one. Spoons and drops are read all the same, and shown in grams.',
    options: { weight: 'By weight: 1 %', spoons: 'Spoons: ½ tsp/lb', drops: 'Drops: 6 drops/piece' },
  },
  micaIn: {
    title: 'Mica goes in',
    reason:
      'Alcohol breaks its surface and leaves again, so it is in no weight. Glycerin stays, and counts as a liquid that can make a bar sweat.',
    options: { dry: 'Stirred in dry', alcohol: 'Wetted in alcohol', glycerin: 'Wetted in glycerin' },
  },
  spritz: {
    title: 'Between layers',
    reason:
      'Alcohol on a layer that has its skin takes bubbles and dust away and helps the next one to join. It burns: no flame near it, and air the room.',
    options: { always: 'Spritz with alcohol before each layer', never: 'Pour without alcohol' },
  },
  meltIn: {
    title: 'Melting',
    reason:
      'Bursts are quick and scorch if they are long. A double boiler is slower and holds its heat for long pours.',
    options: { microwave: 'Microwave in bursts', 'double-boiler': 'Double boiler' },
  },
  foodColour: {
    title: 'Food colouring',
    reason: 'It moves into its neighbour and stains skin and cloth.',
    options: { refuse: 'Refuse: a stop among the checks', warn: 'Warn: a caution among the checks' },
  },
  wrap: {
    title: 'Wrapping',
    reason: 'Glycerin draws water out of the air within hours. A low-sweat bar may lie open for weeks.',
    options: { 'same-day': 'The same day', 'may-lie-open': 'A low-sweat bar may lie open' },
  },
  batchCode: {
    title: 'Batch codes',
    reason:
      'What bars are written on with. Each ends in a letter by which a wrong digit is found. Runs that have begun keep theirs.',
    options: {
      day: 'The day and its run: 261128-2K',
      year: 'The year and its run, shorter: 26-14B',
    },
  },
  units: {
    title: 'Units',
    reason:
      'What a new browser shows. Every screen can be switched, and weights and volumes can be typed in any unit.',
    options: { metric: 'Grams and °C', us: 'Ounces and °F' },
  },
};
