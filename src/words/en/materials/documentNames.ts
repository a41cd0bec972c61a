import type { DocumentKind } from '../../../core/files/document';

export const DOCUMENT_NAMES: Record<DocumentKind, string> = {
  'safety-sheet': 'Safety sheet',
  certificate: 'Certificate',
  specification: 'Specification',
  other: 'Something else',
};
