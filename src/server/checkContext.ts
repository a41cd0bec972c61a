import type { CheckContext } from '../core/checks/finding';
import type { Workshop } from './openWorkshop';

/** What the checks of this workshop go by: its rules, and its shelf as it is today. */
export function checkContext({ rules, materials, lots, now }: Workshop): CheckContext {
  return {
    rules: rules(),
    shelf: {
      materials: materials.all().map(({ item }) => item),
      stock: lots.stock(),
      today: now().slice(0, 10),
    },
  };
}
