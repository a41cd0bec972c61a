import { releaseCheck } from './releaseCheck';

/** A fragrance or dye that is made for candles. */
export const candleOnly = releaseCheck({
  code: 'candle-only',
  refuses: (material) =>
    material.skin === 'candle-only' || (material.kind === 'colorant' && material.form === 'candle-dye'),
});
