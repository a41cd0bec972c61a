import { History } from 'lucide-react';

interface Props {
  kind: string;
  id: string;
  name: string;
  isIcon?: boolean;
}

/** To what a record was before, where it can be taken back. */
export function VersionsLink({ kind, id, name, isIcon = false }: Props) {
  return (
    <a
      className={`btn btn-ghost min-h-11 ${isIcon ? 'btn-square min-w-11' : ''}`}
      href={`/records/${kind}/${encodeURIComponent(id)}`}
      aria-label={`What ${name} was before`}
    >
      <History size={18} aria-hidden="true" />
      {!isIcon && 'Before'}
    </a>
  );
}
