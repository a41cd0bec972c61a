const MARK = 0xff;
/** Application segments and comments: where a camera writes when and where a picture was taken, and by whom. */
const APP_FIRST = 0xe1;
const APP_LAST = 0xef;
const COMMENT = 0xfe;
const SCAN = 0xda;

/**
 * A JPEG without what its camera wrote into it: place, time, device. What it shows stays as it is.
 *
 * ITU-T T.81, Annex B: after the start (FF D8) come segments of FF, a marker, and a length of two bytes that counts
 * itself, up to the first scan (FF DA). APP0 stays, it says how large a point is; APP2 to APP15 go with Exif's APP1.
 *
 * @throws RangeError where it is no whole JPEG
 */
export function withoutPlace(bytes: Uint8Array): Uint8Array {
  if (bytes[0] !== MARK || bytes[1] !== 0xd8) throw new RangeError('not a JPEG');
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let at = 2;
  for (;;) {
    if (bytes[at] !== MARK || at + 4 > bytes.length) throw new RangeError('not a whole JPEG');
    const marker = bytes[at + 1] ?? 0;
    if (marker === SCAN) break;
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    if (length < 2) throw new RangeError('not a whole JPEG');
    const next = at + 2 + length;
    const goes = (marker >= APP_FIRST && marker <= APP_LAST) || marker === COMMENT;
    if (!goes) kept.push(bytes.subarray(at, next));
    at = next;
  }
  kept.push(bytes.subarray(at));
  const whole = new Uint8Array(kept.reduce((sum, { length }) => sum + length, 0));
  let place = 0;
  for (const part of kept) {
    whole.set(part, place);
    place += part.length;
  }
  return whole;
}
