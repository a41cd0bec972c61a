import type { TriangleSoup } from '../core/molds/stl/mesh';
import { fail, ok, type Result } from '../core/result';

export type StlFault =
  | { code: 'empty' }
  | { code: 'too-large'; triangles: number; most: number }
  | { code: 'cut-short'; triangles: number; found: number }
  | { code: 'not-stl' }
  | { code: 'bad-number'; line: number; text: string };

export const MOST_TRIANGLES = 2_000_000;
const HEADER_BYTES = 84;
const TRIANGLE_BYTES = 50;

/**
 * Reads a model file of triangles, binary or text. Files that begin with the word `solid` may be either; the length of
 * a binary one follows from the count in it, so that decides. The normals in the file are not used. Never throws.
 *
 * Format: 3D Systems, StereoLithography Interface Specification, 1989 (from memory): 80 bytes of header, a count, then
 * for each triangle twelve little-endian floats and two bytes.
 */
export function readStl(bytes: Uint8Array): Result<TriangleSoup, StlFault> {
  if (bytes.length === 0) return fail({ code: 'empty' });
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.length >= HEADER_BYTES ? view.getUint32(80, true) : 0;
  const expected = HEADER_BYTES + count * TRIANGLE_BYTES;
  const looksLikeText = /^\s*solid\b/i.test(new TextDecoder('latin1').decode(bytes.subarray(0, 80)));
  if (bytes.length === expected && count > 0) return readBinary(view, count);
  if (looksLikeText) return readText(new TextDecoder('latin1').decode(bytes));
  if (bytes.length < HEADER_BYTES) return fail({ code: 'not-stl' });
  const found = Math.floor((bytes.length - HEADER_BYTES) / TRIANGLE_BYTES);
  if (count === 0) return fail({ code: 'not-stl' });
  // A count that a file of this kind could hold says that the file broke off; any other, that it is something else.
  return count <= MOST_TRIANGLES && found > 0 && found < count
    ? fail({ code: 'cut-short', triangles: count, found })
    : found >= count
      ? readBinary(view, count)
      : fail({ code: 'not-stl' });
}

function readBinary(view: DataView, count: number): Result<TriangleSoup, StlFault> {
  if (count > MOST_TRIANGLES) return fail({ code: 'too-large', triangles: count, most: MOST_TRIANGLES });
  const soup = new Float64Array(count * 9);
  for (let triangle = 0; triangle < count; triangle++) {
    const at = HEADER_BYTES + triangle * TRIANGLE_BYTES + 12;
    for (let figure = 0; figure < 9; figure++) {
      const value = view.getFloat32(at + figure * 4, true);
      if (!Number.isFinite(value)) return fail({ code: 'not-stl' });
      soup[triangle * 9 + figure] = value;
    }
  }
  return ok(soup);
}

function readText(text: string): Result<TriangleSoup, StlFault> {
  const figures: number[] = [];
  const vertex = /\bvertex\s+(\S+)\s+(\S+)\s+(\S+)/gi;
  for (let match = vertex.exec(text); match; match = vertex.exec(text)) {
    for (const figure of match.slice(1)) {
      const value = Number(figure);
      if (!Number.isFinite(value)) {
        const line = text.slice(0, match.index).split('\n').length;
        return fail({ code: 'bad-number', line, text: figure.slice(0, 24) });
      }
      figures.push(value);
    }
    if (figures.length > MOST_TRIANGLES * 9)
      return fail({ code: 'too-large', triangles: Math.floor(figures.length / 9), most: MOST_TRIANGLES });
  }
  const corners = figures.length / 3;
  if (corners < 3) return fail({ code: 'not-stl' });
  if (corners % 3 !== 0)
    return fail({ code: 'cut-short', triangles: Math.ceil(corners / 3), found: Math.floor(corners / 3) });
  return ok(Float64Array.from(figures));
}
