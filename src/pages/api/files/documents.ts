import { newDocumentSchema } from '../../../core/files/documentSchema';
import { endpoint } from '../../../server/endpoint';
import { addDocument, documentsOf, removeDocument } from '../../../server/files/documents';
import { invalidField } from '../../../server/problem';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

const asked = (url: URL, name: string) => {
  const value = url.searchParams.get(name);
  if (value === null) throw invalidField(name, 'is missing');
  return value;
};

/** The documents of `?material=`. */
export const GET = endpoint(({ url }) => ({ body: documentsOf(workshop(), asked(url, 'material')) }));

export const POST = endpoint(async ({ url, request }) => ({
  status: 201,
  body: addDocument(workshop(), asked(url, 'material'), await readJson(request, newDocumentSchema)),
}));

/** Takes `?id=` out. */
export const DELETE = endpoint(({ url }) => ({
  body: removeDocument(workshop(), asked(url, 'material'), asked(url, 'id')),
}));
