import { useCallback, useEffect, useState } from 'react';
import { DOCUMENT_KINDS, type DocumentKind, type MaterialDocument } from '../../core/files/document';
import type { Material } from '../../core/materials/material';
import { DOCUMENT_NAMES } from '../../words/en/materials/documentNames';
import { showDay } from '../../words/en/showTime';
import { usePhotoMaker } from '../photos/usePhotoMaker';
import { callApi } from '../shared/api';
import { FileButton } from '../shared/FileButton';
import { newId } from '../shared/newId';
import { today } from '../shared/today';

interface Props {
  material: Material;
  locale: string;
}

/** Safety sheets and certificates of a material, with the day they are of and their version. */
export function Documents({ material, locale }: Props) {
  const path = `/api/files/documents?material=${encodeURIComponent(material.id)}`;
  const make = usePhotoMaker();
  const [documents, setDocuments] = useState<MaterialDocument[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [kind, setKind] = useState<DocumentKind>('safety-sheet');
  const [version, setVersion] = useState('');
  const [ofDay, setOfDay] = useState(today);

  const taken = useCallback((answer: Awaited<ReturnType<typeof callApi<MaterialDocument[]>>>) => {
    setProblem(answer.success ? null : answer.error.detail);
    if (answer.success) setDocuments(answer.data);
    return answer.success;
  }, []);
  useEffect(() => void callApi<MaterialDocument[]>('GET', path).then(taken), [path, taken]);

  /** A photograph of a sheet of paper is made small; a PDF stays as it is. */
  async function add(file: File) {
    setBusy(true);
    setProblem(null);
    const isPhoto = file.type.startsWith('image/');
    const made = isPhoto ? await make(file) : null;
    const bytes = made?.kind === 'made' ? made.bytes : new Uint8Array(await file.arrayBuffer());
    const kept = await callApi<{ hash: string }>('POST', '/api/files', bytes);
    if (!kept.success) setProblem(kept.error.detail);
    else {
      const name = file.name.slice(0, 120) || DOCUMENT_NAMES[kind];
      const document = { id: newId(), hash: kept.data.hash, kind, name, version: version.trim(), ofDay };
      if (taken(await callApi<MaterialDocument[]>('POST', path, document))) setVersion('');
    }
    setBusy(false);
  }

  return (
    <section className="plate max-w-2xl p-4" aria-labelledby="documents-title">
      <h2 id="documents-title" className="text-xl font-semibold">
        Documents
      </h2>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {documents === null && !problem && <p className="quiet">Fetching …</p>}
      {documents?.length === 0 && (
        <p className="quiet">None yet: a safety sheet or a certificate, as PDF or photograph.</p>
      )}
      <ul>
        {documents?.map(({ id, hash, name, version: of, kind: what, ofDay: day }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3">
            <a
              className="link min-w-0 truncate py-2.5"
              href={`/api/files/${hash}`}
              target="_blank"
              rel="noreferrer"
            >
              {name}
            </a>
            <span className="quiet flex-1 text-sm">
              {DOCUMENT_NAMES[what]}
              {of && `, version ${of}`}, of {showDay(`${day}T12:00`, locale)}
            </span>
            <button
              type="button"
              className="btn btn-ghost min-h-11 px-2"
              onClick={() =>
                void callApi<MaterialDocument[]>('DELETE', `${path}&id=${encodeURIComponent(id)}`).then(taken)
              }
            >
              Take out<span className="sr-only"> {name}</span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="text-xs">
          What it is
          <select
            className="select min-h-11 w-full"
            value={kind}
            onChange={({ target }) => setKind(target.value as DocumentKind)}
          >
            {DOCUMENT_KINDS.map((each) => (
              <option key={each} value={each}>
                {DOCUMENT_NAMES[each]}
              </option>
            ))}
          </select>
        </label>
        <label className="text-xs">
          Version
          <input
            className="input min-h-11 w-24"
            maxLength={60}
            value={version}
            onChange={({ target }) => setVersion(target.value)}
          />
        </label>
        <label className="text-xs">
          Of
          <input
            type="date"
            className="input min-h-11 w-40"
            required
            value={ofDay}
            onChange={({ target }) => setOfDay(target.value || today())}
          />
        </label>
        <FileButton
          label="A PDF or a photograph"
          accept="application/pdf,image/*"
          busy={busy}
          onFile={(file) => void add(file)}
        >
          {busy ? 'Adding …' : 'Add a file'}
        </FileButton>
      </div>
    </section>
  );
}
