const segment = (marker: number, bytes: readonly number[]) => [
  0xff,
  marker,
  (bytes.length + 2) >> 8,
  (bytes.length + 2) & 0xff,
  ...bytes,
];

const text = (words: string) => [...new TextEncoder().encode(words)];

/** A JPEG by its segments: with an Exif segment that says where it was taken, and a comment. Not one to be looked at. */
export function jpegWithPlace(mark = 'picture'): Uint8Array {
  return new Uint8Array([
    ...[0xff, 0xd8],
    ...segment(0xe0, text('JFIF\0')),
    ...segment(0xe1, text('Exif\0\0GPSLatitude 51.5')),
    ...segment(0xed, text('Photoshop where')),
    ...segment(0xfe, text('taken by somebody')),
    ...segment(0xdb, [0, 1, 2, 3]),
    ...segment(0xda, [1, 2]),
    ...text(mark),
    ...[0xff, 0xd9],
  ]);
}
