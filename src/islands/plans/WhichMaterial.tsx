import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { byName, foldedName } from '../../core/materials/byName';
import {
  type DoseableMaterial,
  isDoseable,
  type Material,
  type NewMaterial,
} from '../../core/materials/material';
import { NEW_DOSED_KINDS, newOfKind } from '../../core/materials/newKind';
import { KIND_NAMES } from '../../words/en/materials/kindNames';
import { NEW_KIND_GROUPS, newKindWords } from '../../words/en/materials/newKindWords';
import { callApi } from '../shared/api';
import { usePlanPage } from './planContext';

interface Props {
  /** As it was typed. */
  name: string;
  /** What of the shelf can be meant. */
  among: DoseableMaterial[];
  onChoose(material: DoseableMaterial): void;
  onCancel(): void;
}

/** Which material of the shelf is meant; or what a new one is, which is put on the shelf with that one press. */
export default function WhichMaterial({ name, among, onChoose, onCancel }: Props) {
  const match = useMemo(() => byName(among, name), [among, name]);
  const [isNew, setNew] = useState(match.kind === 'none');
  const box = useRef<HTMLFieldSetElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked next is gone to
  useEffect(() => {
    box.current?.querySelector('button')?.focus();
    box.current?.scrollIntoView({ block: 'nearest' });
  }, [isNew]);
  useEffect(() => {
    if (match.kind === 'called') onChoose(match.item);
  }, [match, onChoose]);
  if (match.kind === 'called') return null;
  return (
    <fieldset
      ref={box}
      className="border-base-300 mt-2 flex flex-col gap-1 rounded-lg border p-2 text-sm"
      aria-label={`Which material “${name}” is`}
      onKeyDown={(event) => event.key === 'Escape' && onCancel()}
    >
      {isNew || match.kind === 'none' ? (
        <NewMaterialKinds name={name} onChoose={onChoose} />
      ) : (
        <Choices title={`Which “${name}”?`}>
          {match.items.map((each) => (
            <Choice key={each.id} onPress={() => onChoose(each)}>
              {each.name} <span className="quiet font-normal">{KIND_NAMES[each.kind]}</span>
            </Choice>
          ))}
          <Choice onPress={() => setNew(true)}>None of these: a new one</Choice>
        </Choices>
      )}
      <button type="button" className="btn btn-ghost btn-sm min-h-11 self-start" onClick={onCancel}>
        Cancel
      </button>
    </fieldset>
  );
}

/** The kind is all that is asked: the rest stays not known until somebody enters it on the shelf. */
function NewMaterialKinds({ name, onChoose }: Pick<Props, 'name' | 'onChoose'>) {
  const { materials, shelved } = usePlanPage();
  /** Among what is not offered: archived, or of a kind that is not dosed. */
  const same = materials.find((each) => !isOffered(each) && foldedName(each.name) === foldedName(name));
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  async function make(material: NewMaterial) {
    setBusy(true);
    const answer = await callApi<{ item: DoseableMaterial }>('POST', '/api/materials', material);
    setBusy(false);
    if (!answer.success) return setProblem(answer.error.detail);
    shelved(answer.data.item);
    onChoose(answer.data.item);
  }
  return (
    <>
      {same ? (
        <p>
          <strong>
            “{same.name}” is there already, {same.archived ? 'archived' : 'and not dosed'}, as{' '}
            {KIND_NAMES[same.kind].toLowerCase()}.
          </strong>{' '}
          <a className="link" href={`/shelf?material=${encodeURIComponent(same.id)}`}>
            Open it
          </a>
          , or say what a second one is.
        </p>
      ) : (
        <p>
          <strong>“{name}” is not on the shelf.</strong> Say what it is, and it is put there, with limits not
          known until you enter them from its pack.
        </p>
      )}
      {(['fragrance', 'colorant', 'additive'] as const).map((of) => (
        <Choices key={of} title={NEW_KIND_GROUPS[of]}>
          {NEW_DOSED_KINDS.filter(({ kind }) => kind === of).map((kind) => (
            <Choice key={newKindWords(kind)} disabled={busy} onPress={() => void make(newOfKind(kind, name))}>
              {newKindWords(kind)}
            </Choice>
          ))}
        </Choices>
      ))}
      {problem && (
        <p role="alert" className="text-error font-semibold">
          {problem}
        </p>
      )}
    </>
  );
}

const isOffered = (each: Material) => isDoseable(each) && !each.archived;

function Choices({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="flex flex-wrap items-center gap-1">
      <legend className="float-left mr-2 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}

function Choice(props: { children: ReactNode; disabled?: boolean; onPress(): void }) {
  return (
    <button
      type="button"
      className="btn btn-outline btn-sm min-h-11"
      disabled={props.disabled}
      onClick={props.onPress}
    >
      {props.children}
    </button>
  );
}
