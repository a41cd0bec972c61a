import { useState } from 'react';
import { callApi } from '../shared/api';

interface Props {
  /** Where the workshop is served to the network. */
  address: string;
  onIn(): void;
}

/** A scale or a thermometer of the network is given a secret of its own, which is shown once. */
export function InstrumentIn({ address, onIn }: Props) {
  const [name, setName] = useState('');
  const [letIn, setLetIn] = useState<{ name: string; token: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function add() {
    if (name.trim() === '') {
      setProblem('Name: it is missing. Write what the instrument is called at the bench.');
      return;
    }
    setBusy(true);
    const answer = await callApi<{ token: string }>('POST', '/api/devices/instruments', {
      name: name.trim(),
    });
    setBusy(false);
    setProblem(answer.success ? null : answer.error.detail);
    if (!answer.success) return;
    setLetIn({ name: name.trim(), token: answer.data.token });
    setName('');
    onIn();
  }

  return (
    <section className="plate p-4" aria-labelledby="instrument-in">
      <h2 id="instrument-in" className="text-lg font-semibold">
        An instrument that sends over the network
      </h2>
      <form
        className="mt-1 flex flex-wrap items-end gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <label>
          <span className="block text-sm">What it is called</span>
          <input
            className="input min-h-11 w-60"
            maxLength={60}
            autoComplete="off"
            value={name}
            aria-invalid={problem !== null}
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <button type="submit" className="btn btn-secondary min-h-11" disabled={busy}>
          Give it a secret
        </button>
      </form>
      {problem && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      {letIn && (
        <div role="status" className="mt-2">
          <p>
            {letIn.name} sends like this. Its secret is shown now and never again; it can send readings and
            nothing else.
          </p>
          <pre className="bg-base-200 my-1 overflow-x-auto rounded-lg p-2 text-sm whitespace-pre-wrap break-all">
            {example(address, letIn)}
          </pre>
        </div>
      )}
    </section>
  );
}

function example(address: string, { name, token }: { name: string; token: string }): string {
  return `curl -H 'Authorization: Bearer ${token}' -H 'content-type: text/plain' -d 'ST 12.4 g' ${address}/api/instruments/${encodeURIComponent(name)}/readings`;
}
