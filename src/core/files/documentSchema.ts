import { z } from '../zod';
import { DOCUMENT_KINDS } from './document';
import { fileHash } from './photoSchema';

/** A document of a material, as it is added. */
export const newDocumentSchema = z.strictObject({
  id: z.string().min(1).max(64),
  hash: fileHash,
  kind: z.enum(DOCUMENT_KINDS),
  /** Of the file, as it was called. */
  name: z.string().trim().min(1).max(120),
  /** As the document says itself. */
  version: z.string().trim().max(60),
  /** The day it is of. */
  ofDay: z.iso.date(),
});
