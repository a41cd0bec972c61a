/** A text that is kept: what was put together from thousands of parts holds all of them, which is several times its length. */
export function inOnePiece(text: string): string {
  return Buffer.from(text).toString();
}
