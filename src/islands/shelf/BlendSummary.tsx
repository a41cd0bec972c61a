import { blendAsFragrance } from '../../core/materials/blend';
import type { Material } from '../../core/materials/material';
import { showNumber, showPercent } from '../../core/units/showQuantity';
import type { TextContext } from '../../formats/records/fieldText';
import { readMaterial } from '../../formats/records/materialText';
import { SKIN_NAMES } from '../../words/en/materials/names';
import { useShelf } from './shelfMaterials';

interface Props {
  /** The members as they are typed. */
  text: string;
  context: TextContext;
  locale: string;
}

/** What a blend comes to: its members' limits and allergens, each at its share. */
export function BlendSummary({ text, context, locale }: Props) {
  const materials = useShelf();
  const told = tell(text, context, materials);
  if (told === null) return null;
  const percent = (fraction: number | null, decimals = 2) =>
    fraction === null ? 'not known' : showPercent(fraction, locale, decimals);
  return (
    <dl className="bg-base-200 grid grid-cols-[auto_1fr] gap-x-3 rounded-lg p-3 text-sm">
      <dt className="quiet">Limit, of product</dt>
      <dd>{percent(told.maxOfProduct)}</dd>
      <dt className="quiet">On skin</dt>
      <dd>{SKIN_NAMES[told.skin]}</dd>
      <dt className="quiet">Vanillin in it</dt>
      <dd>{percent(told.vanillinOfMaterial)}</dd>
      <dt className="quiet">Density</dt>
      <dd>
        {told.densityGPerMl === null ? 'not known' : `${showNumber(told.densityGPerMl, 3, locale)} g/mL`}
      </dd>
      <dt className="quiet">Allergens</dt>
      <dd>
        {told.allergens === null
          ? 'not known'
          : told.allergens.map(({ name, ofMaterial }) => `${name} ${percent(ofMaterial)}`).join(', ') ||
            'none'}
      </dd>
    </dl>
  );
}

function tell(text: string, context: TextContext, materials: readonly Material[]) {
  const read = readMaterial('blend', { name: 'blend', members: text }, context);
  if (!read.success || read.data.kind !== 'blend') return null;
  try {
    return blendAsFragrance(
      { ...read.data, id: 'typed' },
      new Map(materials.map((material) => [material.id, material])),
    );
  } catch {
    return null;
  }
}
