import type { Result } from '../result';
import { fail, ok } from '../result';
import { parseNumber } from '../units/parseNumber';
import { parseQuantity } from '../units/parseQuantity';
import { writeFigure } from '../units/writeQuantity';
import type { z } from '../zod';
import type { pieceSizeSchema } from './pieceSizeSchema';

/** The least and the most of each way to say the size of a piece. */
export const PIECE_SIZE_LIMITS = { massG: [0.01, 10_000], volumeMl: [0.01, 10_000], mm: [0.5, 500] } as const;

export type PieceSize = z.infer<typeof pieceSizeSchema>;

/** A size as text that {@link parsePieceSize} reads back as itself. */
export function writePieceSize(size: PieceSize): string {
  switch (size.by) {
    case 'mass':
      return `${writeFigure(size.massG, 4)} g`;
    case 'volume':
      return `${writeFigure(size.volumeMl, 4)} mL`;
    case 'box':
      return `${[size.lengthMm, size.widthMm, size.heightMm].map((side) => writeFigure(side, 3)).join(' x ')} mm`;
    case 'ball':
      return `ball ${writeFigure(size.diameterMm, 3)} mm`;
  }
}

/** Why a text is no size of a piece. */
export type PieceSizeFault = { code: 'no-size'; found: string } | { code: 'out-of-range' };

const MM_PER = { mm: 1, cm: 10, in: 25.4 } as const;

/**
 * Reads the size of one piece: `6 g`, `0.2 oz`, `5 mL`, `20 x 15 x 8 mm`, `ball 20 mm`. Never throws.
 */
export function parsePieceSize(text: string): Result<PieceSize, PieceSizeFault> {
  const typed = text.slice(0, 80).replace(/\s+/g, ' ').trim();
  const cannot = fail<PieceSizeFault>({ code: 'no-size', found: typed });
  const unit = /(mm|cm|in)$/i.exec(typed)?.[1]?.toLowerCase() as keyof typeof MM_PER | undefined;
  const ball = /^ball (?:of )?(.+)$/i.exec(typed);
  const sides = typed.split(/\s*[x×*]\s*/i);
  if (unit && (ball || sides.length === 3)) {
    const figures = (ball ? [ball[1] ?? ''] : sides).map((side) => parseNumber(side));
    const [a, b, c] = figures.map((figure) =>
      figure.success ? figure.data.value * MM_PER[unit] : Number.NaN,
    );
    return checked(
      ball
        ? { by: 'ball', diameterMm: a ?? 0 }
        : { by: 'box', lengthMm: a ?? 0, widthMm: b ?? 0, heightMm: c ?? 0 },
    );
  }
  const quantity = parseQuantity(typed, ['mass', 'volume']);
  if (!quantity.success) return cannot;
  if (quantity.data.kind === 'mass') return checked({ by: 'mass', massG: quantity.data.massG });
  return quantity.data.kind === 'volume'
    ? checked({ by: 'volume', volumeMl: quantity.data.volumeMl })
    : cannot;
}

function checked(size: PieceSize): Result<PieceSize, PieceSizeFault> {
  const isWithin = (value: number, [least, most]: readonly [number, number]) =>
    value >= least && value <= most;
  const { massG, volumeMl, mm } = PIECE_SIZE_LIMITS;
  const fits = ((): boolean => {
    switch (size.by) {
      case 'mass':
        return isWithin(size.massG, massG);
      case 'volume':
        return isWithin(size.volumeMl, volumeMl);
      case 'box':
        return [size.lengthMm, size.widthMm, size.heightMm].every((side) => isWithin(side, mm));
      case 'ball':
        return isWithin(size.diameterMm, mm);
    }
  })();
  return fits ? ok(size) : fail({ code: 'out-of-range' });
}
