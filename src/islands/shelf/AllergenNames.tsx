import { onNoList } from '../../core/materials/allergenNames';
import type { TextContext } from '../../formats/records/fieldText';
import { namedSharesText } from '../../formats/records/listTexts';
import { listed } from '../../words/en/plural';

interface Props {
  /** The allergens as they are typed. */
  text: string;
  context: TextContext;
}

/** Names that no list of allergens has, as a misspelt one: they stand on labels as they are typed. */
export function AllergenNames({ text, context }: Props) {
  const read = namedSharesText.read(text, context);
  const odd = read.success ? onNoList(read.data.map(({ name }) => name)) : [];
  if (odd.length === 0) return null;
  return (
    <p role="status" className="text-sm">
      {listed(odd)}: on neither list of EU allergens that is kept here, from memory. Look at how it is
      written; labels name it as it is typed.
    </p>
  );
}
