import { type FileKind, fileKind, LARGEST_BYTES } from '../../core/files/fileKind';
import { withoutPlace } from '../../core/files/withoutPlace';
import { fileBytes, putFile } from '../../db/files/fileStore';
import type { KeptFile } from '../../db/files/fileTable';
import type { Workshop } from '../openWorkshop';
import { notFound, Problem } from '../problem';
import { whenFree } from '../whenFree';

/** The largest file of any kind. */
export const LARGEST_FILE_BYTES = Math.max(...Object.values(LARGEST_BYTES));

/**
 * Keeps a photograph or a document. A photograph loses what its camera wrote into it, also where it was sent by something
 * else than the page.
 *
 * @throws Problem 415 where it is neither JPEG, PNG nor PDF, 413 where it is too large
 */
export async function keepFile(workshop: Workshop, sent: Uint8Array): Promise<KeptFile> {
  const kind = fileKind(sent);
  if (kind === null)
    throw new Problem(
      415,
      'no-file-kind',
      'This is neither a photograph (JPEG, PNG) nor a PDF, whatever its name ends with. Nothing was saved.',
    );
  if (sent.length > LARGEST_BYTES[kind]) throw tooLarge(kind);
  const bytes = kind === 'jpeg' ? cleaned(sent) : sent;
  const hash = await putFile(folderOf(workshop), bytes);
  await whenFree(workshop.db);
  workshop.files.put({ hash, kind, bytes: bytes.length, added_at: workshop.now() });
  return workshop.files.find(hash) ?? { hash, kind, bytes: bytes.length, added_at: workshop.now() };
}

function cleaned(bytes: Uint8Array): Uint8Array {
  try {
    return withoutPlace(bytes);
  } catch {
    throw new Problem(415, 'not-whole', 'This photograph is not whole. Take it anew. Nothing was saved.');
  }
}

function tooLarge(kind: FileKind): Problem {
  const most = LARGEST_BYTES[kind] / 1e6;
  return new Problem(413, 'too-large', `The file is over ${most} MB. Make it smaller. Nothing was saved.`);
}

function folderOf({ folder }: Workshop): string {
  if (folder === null) throw new Problem(503, 'kept-nowhere', 'This workshop keeps no files.');
  return folder;
}

/**
 * A kept file with its bytes.
 *
 * @throws Problem 404 where it is not known, or its bytes are not there or others
 */
export async function findFile(
  workshop: Workshop,
  hash: string,
): Promise<{ file: KeptFile; bytes: Buffer<ArrayBuffer> }> {
  const file = workshop.files.find(hash);
  const bytes = file && workshop.folder !== null ? await fileBytes(workshop.folder, hash) : null;
  if (!file || !bytes) throw notFound('file', hash);
  return { file, bytes };
}
