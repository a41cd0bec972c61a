import type { Shape } from '../core/molds/mold';
import type { MeshReport } from '../core/molds/stl/mend';
import type { BrimSide } from '../core/molds/stl/mesh';

/** What the page asks of the worker that reads model files. */
export type ModelRequest =
  | { ask: 'read'; bytes: Uint8Array }
  | { ask: 'shape'; unitMm: number; brim: BrimSide };

/** What the worker answers. */
export type ModelAnswer =
  | { is: 'fault'; reason: string }
  /** Sizes in the file's own unit. */
  | { is: 'read'; report: MeshReport; size: { x: number; y: number; z: number } }
  | { is: 'progress'; done: number; of: number }
  | { is: 'shape'; shape: Extract<Shape, { kind: 'model' }> };
