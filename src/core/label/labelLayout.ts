import type { Box } from './typeset';

/** How a label is cut. */
export const LABEL_LAYOUTS = ['sticker', 'band', 'tag', 'round'] as const;
export type LabelLayout = (typeof LABEL_LAYOUTS)[number];

/** Which side of a label: what it is and how much, or everything that has to be said. */
export type Side = 'front' | 'back';

/** One piece of paper, with where is written on it. */
export interface LabelPiece {
  outline: 'rectangle' | 'round';
  widthMm: number;
  heightMm: number;
  places: { side: Side; box: Box }[];
}

export interface LabelSize {
  layout: LabelLayout;
  /** All around of a band, across of a round one. */
  widthMm: number;
  /** Left as it is by a round one. */
  heightMm: number;
}

/** Left free along each edge of a place. */
export const MARGIN_MM = 2;
/** Of a sticker and of a band, to the front. */
const FRONT_SHARE = { sticker: 0.42, band: 0.36 };
/** Of a band, under its other end. */
const LAP_MM = 8;
/** Of a tag, for its hole. */
const HOLE_MM = 8;
/** The largest place of this shape whose corners lie on the circle: 0.8² + 0.6² = 1. */
const IN_CIRCLE = { width: 0.8, height: 0.6 };

/** The pieces of paper of one label. */
export function labelPieces({ layout, widthMm, heightMm }: LabelSize): LabelPiece[] {
  const within = (xMm: number, yMm: number, width: number, height: number): Box => ({
    xMm: xMm + MARGIN_MM,
    yMm: yMm + MARGIN_MM,
    widthMm: Math.max(1, width - 2 * MARGIN_MM),
    heightMm: Math.max(1, height - 2 * MARGIN_MM),
  });
  const paper = (places: LabelPiece['places']): LabelPiece => ({
    outline: 'rectangle',
    widthMm,
    heightMm,
    places,
  });
  switch (layout) {
    case 'band': {
      const roomMm = Math.max(1, widthMm - LAP_MM);
      const frontMm = roomMm * FRONT_SHARE.band;
      return [
        paper([
          { side: 'front', box: within(0, 0, frontMm, heightMm) },
          { side: 'back', box: within(frontMm, 0, roomMm - frontMm, heightMm) },
        ]),
      ];
    }
    case 'sticker': {
      const isWide = widthMm > heightMm * 1.15;
      const [frontMm, share] = [FRONT_SHARE.sticker, 1 - FRONT_SHARE.sticker];
      return [
        paper(
          isWide
            ? [
                { side: 'front', box: within(0, 0, widthMm * frontMm, heightMm) },
                { side: 'back', box: within(widthMm * frontMm, 0, widthMm * share, heightMm) },
              ]
            : [
                { side: 'front', box: within(0, 0, widthMm, heightMm * frontMm) },
                { side: 'back', box: within(0, heightMm * frontMm, widthMm, heightMm * share) },
              ],
        ),
      ];
    }
    case 'tag':
      return (['front', 'back'] as const).map((side) =>
        paper([{ side, box: within(0, HOLE_MM, widthMm, heightMm - HOLE_MM) }]),
      );
    case 'round': {
      const [width, height] = [widthMm * IN_CIRCLE.width, widthMm * IN_CIRCLE.height];
      const box = within((widthMm - width) / 2, (widthMm - height) / 2, width, height);
      return (['front', 'back'] as const).map((side) => ({
        outline: 'round',
        widthMm,
        heightMm: widthMm,
        places: [{ side, box }],
      }));
    }
  }
}

/** Where the front is written, with its margins, mm²: the main panel, as far as the label goes. */
export function frontAreaMm2(pieces: readonly LabelPiece[]): number {
  return areaOf(pieces, 'front');
}

/** All that there is to write on, mm². */
export function roomMm2(pieces: readonly LabelPiece[]): number {
  return areaOf(pieces, 'front') + areaOf(pieces, 'back');
}

function areaOf(pieces: readonly LabelPiece[], side: Side): number {
  return pieces
    .flatMap(({ places }) => places)
    .filter((place) => place.side === side)
    .reduce((sum, { box }) => sum + (box.widthMm + 2 * MARGIN_MM) * (box.heightMm + 2 * MARGIN_MM), 0);
}
