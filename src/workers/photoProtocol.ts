/** A photograph that was chosen. */
export interface PhotoRequest {
  file: File;
}

export type PhotoAnswer =
  | { kind: 'made'; bytes: Uint8Array<ArrayBuffer>; widthPx: number; heightPx: number }
  | { kind: 'fault'; code: 'no-picture' | 'too-large' };
