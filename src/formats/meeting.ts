import type { ChangedField } from './records/changedFields';

/** What becomes of a record of a file that differs from the one here: that one stays, it is saved over, or both are kept. */
export const CHOICES = ['here', 'file', 'both'] as const;
export type Choice = (typeof CHOICES)[number];

/** By the id that a record has in the file. Left out: both are kept. */
export type Choices = Readonly<Record<string, Choice>>;

export type MetKind = 'mold' | 'material';

/** A record of a file, and what it meets here. */
export interface Met {
  kind: MetKind;
  /** In the file. */
  id: string;
  name: string;
  /** `same`: to the last figure; `other`: one of its id, or of its name and kind, that differs. */
  verdict: 'new' | 'same' | 'other';
  here: { id: string; name: string } | null;
  /** Where the file's (`is`) differs from the one here (`was`). */
  changes: ChangedField[];
}

/** A plan of a copy, and what it meets here. */
export interface MetPlan {
  id: string;
  name: string;
  changedAt: string;
  /** Of one that is here under the same id: the same, saved later there (`newer`), or saved later here (`older`). */
  verdict: 'new' | 'same' | 'newer' | 'older';
}
