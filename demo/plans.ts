import type { DraftPlan, DraftPour } from '../src/core/plan/ids';
import { dose, type Plan, type Wetting } from '../src/core/plan/plan';
import type { PourSize } from '../src/core/plan/pourSize';

// Invented plans of the invented workshop.

function onePour(
  name: string,
  use: Plan['use'],
  moldId: string,
  pieces: number,
  fillFraction: number,
  baseId: string,
  doses: [materialId: string, text: string, wetIn?: Wetting][],
  note = '',
): DraftPlan {
  return {
    name,
    use,
    moldId,
    pieces,
    fillFraction,
    jugLossFraction: 0.03,
    note,
    pours: [
      {
        baseId,
        size: { by: 'parts', parts: 1 },
        doses: doses.map(([materialId, text, wetIn]) => dose(materialId, text, wetIn)),
      },
    ],
  };
}

export const TINSMITH = onePour(
  'Tinsmith’s Bar',
  'hands',
  'slab-six',
  12,
  0.95,
  'hold',
  [
    ['slate-mica', '0.4 %', { dispersantId: 'alcohol', times: 2 }],
    ['quayside', '1.8 %'],
    ['olive-grit', '8 %'],
  ],
  'Stir the grit on until the base thickens, then pour at once.',
);

export const NETTLE_AND_LIME = onePour(
  'Nettle & Lime Head Bar',
  'hair',
  'puck-eight',
  8,
  0.95,
  'softwater',
  [
    ['oat-protein', '0.8 %'],
    ['panthenol', '0.6 %'],
    ['nettle-extract', '2 mL'],
    ['lime-peel', '1 %'],
  ],
  'Mix protein, panthenol and nettle in one beaker first.',
);

export const BARE_FACE: DraftPlan = {
  ...onePour('Bare Face', 'face', 'puck-eight', 8, 0.9, 'softwater', [], 'Nothing in it, on purpose.'),
  packaging: [{ id: 'pack1', materialId: 'wrap-band', count: 1, forPieces: 1 }],
};

export const ROPEWALK = onePour(
  'Ropewalk Guest Pebbles',
  'gift',
  'pebble-24',
  72,
  0.96,
  'drystone',
  [
    ['quay-blue', '24 drops'],
    ['harbour-mist', '0.9 oz'],
  ],
  'For the bell-ringers’ fair. Three rounds of the tray.',
);

/** Pours of one plan: base, size and doses, in the order they are poured. */
function pours(
  all: [baseId: string, size: PourSize, doses: [materialId: string, text: string][]][],
): DraftPour[] {
  return all.map(([baseId, size, doses]) => ({
    baseId,
    size,
    doses: doses.map(([materialId, text]) => dose(materialId, text)),
  }));
}

export const LIGHTHOUSE: DraftPlan = {
  ...onePour('Lighthouse Stripe', 'body', 'loaf-long', 10, 0.96, 'chalk', []),
  note: 'Spritz between the stripes. Ten bars from the loaf.',
  pours: pours([
    ['chalk', { by: 'thickness', thicknessMm: 22 }, [['harbour-mist', '2 %']]],
    [
      'chalk',
      { by: 'thickness', thicknessMm: 14 },
      [
        ['harbour-mist', '2 %'],
        ['brick-block', '⅓ block'],
      ],
    ],
    ['chalk', { by: 'rest' }, [['harbour-mist', '2 %']]],
  ]),
};

export const NIGHT_FERRY: DraftPlan = {
  ...onePour('Night Ferry', 'gift', 'dome-six', 6, 1, 'glaze', []),
  note: 'The moon sets before the halo goes round it.',
  pours: pours([
    ['chalk', { by: 'disc', diameterMm: 30 }, []],
    ['cream-lane', { by: 'disc', diameterMm: 45 }, []],
    [
      'glaze',
      { by: 'rest' },
      [
        ['slate-mica', '0.5 %'],
        ['bay-rope', '1.5 %'],
      ],
    ],
  ]),
};

export const MOSS_AND_FLINT: DraftPlan = {
  ...onePour('Moss & Flint', 'body', 'slab-six', 6, 0.95, 'glaze', []),
  note: 'Cubes of 8 to 10 mm, cold and spritzed, then the clear poured over them in two goes.',
  pours: [
    {
      baseId: 'glaze',
      size: { by: 'rest' },
      doses: [dose('bay-rope', '1.5 %')],
      way: { goes: 2 },
      embeds: [
        { as: 'filling', from: { is: 'shelf', materialId: 'moss-offcuts' }, ofRoom: 0.28 },
        { as: 'filling', from: { is: 'shelf', materialId: 'flint-offcuts' }, ofRoom: 0.17 },
      ],
    },
  ],
};

export const BOAT = onePour(
  'Small boat',
  'embeds',
  'boat-twelve',
  12,
  1,
  'chalk',
  [],
  'For Paper Boats. Cold, and spritzed before they are set in.',
);

/** A blue of the ladder: it goes on in the jug of the one before, with so many drops more. */
const blue = (drops: number, isFirst = false): DraftPour => ({
  baseId: 'chalk',
  size: { by: 'parts', parts: 1 },
  doses: [dose('quay-blue', `${drops} drops`), ...(isFirst ? [dose('harbour-mist', '1.8 %')] : [])],
  ...(isFirst ? {} : { way: { sameJug: true } }),
});

export function paperBoats(boatId: string): DraftPlan {
  return {
    ...onePour('Paper Boats', 'gift', 'slab-six', 12, 0.92, 'chalk', []),
    note: 'Four blues from one jug, the palest first. The boats stand out by half.',
    pours: [
      blue(6, true),
      blue(6),
      blue(9),
      {
        ...blue(12),
        embeds: [
          {
            as: 'pieces',
            from: { is: 'plan', planId: boatId },
            perPiece: 1,
            size: null,
            heightMm: null,
            liftMm: 0,
            standsOutMm: 6,
          },
        ],
      },
    ],
  };
}
