import { Info, OctagonX, TriangleAlert } from 'lucide-react';
import type { Severity } from '../../core/checks/finding';

/** How grave a finding is, at a glance. */
export const LOOK: Record<Severity, { icon: typeof Info; word: string; colour: string }> = {
  stop: { icon: OctagonX, word: 'Stop', colour: 'text-error' },
  caution: { icon: TriangleAlert, word: 'Caution', colour: 'text-warning' },
  note: { icon: Info, word: 'Note', colour: 'text-info' },
};
