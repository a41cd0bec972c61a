import type { MaterialDocument, NewDocument } from '../../core/files/document';
import type { Workshop } from '../openWorkshop';
import { invalidField, notFound } from '../problem';

/** @throws Problem 404 */
export function documentsOf({ materials, documents }: Workshop, materialId: string): MaterialDocument[] {
  if (!materials.find(materialId)) throw notFound('material', materialId);
  return documents.ofMaterial(materialId);
}

/**
 * Adds a document whose file is kept already. Sent twice, it is there once.
 *
 * @throws Problem 404, or 422 where its file is not kept
 */
export function addDocument(
  workshop: Workshop,
  materialId: string,
  document: NewDocument,
): MaterialDocument[] {
  const { materials, files, documents, now } = workshop;
  if (!materials.find(materialId)) throw notFound('material', materialId);
  if (!files.find(document.hash)) throw invalidField('hash', 'names a file that is not kept: send it first');
  documents.add({ ...document, materialId, addedAt: now() });
  return documents.ofMaterial(materialId);
}

/** @throws Problem 404 */
export function removeDocument(workshop: Workshop, materialId: string, id: string): MaterialDocument[] {
  if (!workshop.documents.remove(id, materialId, workshop.now())) throw notFound('document', id);
  return workshop.documents.ofMaterial(materialId);
}
