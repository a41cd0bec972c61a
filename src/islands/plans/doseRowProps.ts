import type { Severity } from '../../core/checks/finding';
import type { DosedMaterial, Material } from '../../core/materials/material';
import type { Laid } from '../../core/plan/laid';
import type { Dose, Wetting } from '../../core/plan/plan';
import type { Sheet, SheetPour } from '../../core/plan/sheet';

/** What is done to a dose, told with its place in the pour. */
export interface DoseActions {
  onText(index: number, text: string): void;
  onSayAs(index: number, text: string): void;
  /** Several lines were pasted. */
  onColumn(index: number, texts: string[]): void;
  /**
   * Anything else of it.
   *
   * @param about one word: changes about the same are one step back
   */
  onChange(index: number, change: (dose: Dose) => Dose, about: string): void;
  onRemove(index: number): void;
  onEnter(index: number): void;
}

/** A dose as the other ways to say it are worked out from. */
export interface ToSay {
  dose: { massG: number; ofBase: number };
  material: DosedMaterial;
  pour: SheetPour;
  sheet: Sheet;
}

export interface DoseRowProps {
  pourIndex: number;
  index: number;
  name: string;
  kind: string;
  text: string;
  severity: Severity | null;
  figures:
    | {
        mass: string;
        /** What is counted out, where it was said so. */
        count: string | null;
        /** How far it may go where it goes by eye. */
        byEye: string;
        ofBase: string;
        ofProduct: string;
        exact: boolean;
      }
    | undefined;
  /** The fragrances of a blend, the dispersant of a powder. */
  parts: { name: string; mass: string; how: string }[];
  /** What the other ways to say it are worked out from; asked only when the row is opened. */
  toSay(): ToSay | null;
  /** What it may be wetted in; null for what is never wetted. */
  dispersants: Material[] | null;
  wetIn: Wetting | undefined;
  /** null where no other pour goes on in the jug. */
  counts: 'added' | 'content' | null;
  /** null where it is stirred in. */
  laid: Laid | null;
  isOptional: boolean;
  actions: DoseActions;
}
