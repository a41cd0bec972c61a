import { FileUp } from 'lucide-react';
import { type ReactNode, useRef } from 'react';

interface Props {
  /** What kind of file it takes, for who can't see the button. */
  label: string;
  /** Endings and types, as an input takes them. */
  accept: string;
  busy: boolean;
  onFile(file: File): void;
  /** What the button says. */
  children: ReactNode;
}

/** A button that asks for a file. The same file can be chosen twice. */
export function FileButton({ label, accept, busy, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) onFile(file);
        }}
      />
      <button
        type="button"
        className="btn btn-secondary"
        disabled={busy}
        onClick={() => input.current?.click()}
      >
        <FileUp size={20} aria-hidden="true" />
        {children}
      </button>
    </>
  );
}
