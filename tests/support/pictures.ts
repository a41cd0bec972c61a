import { deflateSync } from 'node:zlib';

/** A PNG of one colour with a white border, as large as it is said (W3C, Portable Network Graphics, second edition). */
export function pngOf(hex: string, side: number, border: number): Buffer {
  const colour = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  const rows = Array.from({ length: side }, (_, y) => [
    0,
    ...Array.from({ length: side }, (__, x) =>
      Math.min(x, y, side - 1 - x, side - 1 - y) < border ? [255, 255, 255] : colour,
    ).flat(),
  ]);
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.from(rows.flat()))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

function chunk(kind: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(kind), data]);
  const whole = Buffer.alloc(body.length + 8);
  whole.writeUInt32BE(data.length, 0);
  whole.set(body, 4);
  whole.writeUInt32BE(crc32(body), body.length + 4);
  return whole;
}

function crc32(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}
