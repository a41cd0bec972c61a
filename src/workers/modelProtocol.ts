import type { Shape } from '../core/molds/mold';
import type { MeshReport } from '../core/molds/stl/mend';
import type { BrimSide } from '../core/molds/stl/mesh';

/** What the page asks of the worker that reads model files. */
export type ModelRequest =
  | { kind: 'read'; bytes: Uint8Array }
  | { kind: 'shape'; unitMm: number; brim: BrimSide };

/** What the worker answers. */
export type ModelAnswer =
  | { kind: 'fault'; reason: string }
  /** Sizes in the file's own unit. */
  | { kind: 'read'; report: MeshReport; size: { x: number; y: number; z: number } }
  | { kind: 'progress'; done: number; of: number }
  | { kind: 'shape'; shape: Extract<Shape, { kind: 'model' }> };
