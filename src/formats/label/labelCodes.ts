import bwipjs from 'bwip-js/node';
import { encode } from 'uqr';
import type { LabelCodes } from '../../core/label/label';

/** By the length of the number that goods carry. */
const KINDS: Record<number, string> = { 8: 'ean8', 12: 'upca', 13: 'ean13' };

/** What is printed to be read by a camera or at a till. */
export function labelCodes(batchCode: string | null, barcode: string | null): LabelCodes {
  return {
    qr: batchCode === null ? null : encode(batchCode, { border: 0 }).data,
    bars: barcode === null ? null : { widths: barsOf(barcode), text: barcode },
  };
}

/** Widths of bars and of spaces in turn, in modules. */
function barsOf(barcode: string): number[] {
  const [drawn] = bwipjs.raw({ bcid: KINDS[barcode.length] ?? 'ean13', text: barcode });
  if (!drawn || !('sbs' in drawn)) throw new RangeError(`no bars for ${barcode}`);
  return drawn.sbs;
}
