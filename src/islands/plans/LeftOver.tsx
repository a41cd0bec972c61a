import type { Mold } from '../../core/molds/mold';
import type { JugOfMelt } from '../../core/work/loads';
import { spareFill } from '../../core/work/spareFill';
import { spareWords } from '../../words/en/work/spareWords';
import { useShowing } from '../shared/showing';

/** What a jug leaves over, in the spare mold of the house rules. */
export default function LeftOver({ melt, mold }: { melt: JugOfMelt; mold: Mold }) {
  const { locale } = useShowing();
  const words = spareWords(spareFill(melt, mold), mold.name, locale);
  return words && `: ${words}`;
}
