import type { z } from '../zod';
import type { newDocumentSchema } from './documentSchema';

export const DOCUMENT_KINDS = ['safety-sheet', 'certificate', 'specification', 'other'] as const;

export type DocumentKind = (typeof DOCUMENT_KINDS)[number];
export type NewDocument = z.infer<typeof newDocumentSchema>;

/** A document of a material, as it is kept. */
export interface MaterialDocument extends NewDocument {
  materialId: string;
  addedAt: string;
}
