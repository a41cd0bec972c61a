/** What is kept as a file: photographs are always JPEG by then, documents as they came. */
export const FILE_KINDS = ['jpeg', 'png', 'pdf'] as const;
export type FileKind = (typeof FILE_KINDS)[number];

/** The largest of each, in bytes. */
export const LARGEST_BYTES: Record<FileKind, number> = { jpeg: 1_000_000, png: 4_000_000, pdf: 20_000_000 };

const STARTS: Record<FileKind, readonly number[]> = {
  jpeg: [0xff, 0xd8, 0xff],
  png: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  pdf: [0x25, 0x50, 0x44, 0x46, 0x2d],
};

/** What a file is by how it begins, whatever it is called; null for anything else. */
export function fileKind(bytes: Uint8Array): FileKind | null {
  return FILE_KINDS.find((kind) => STARTS[kind].every((byte, place) => bytes[place] === byte)) ?? null;
}
