import type { CheckContext } from '../core/checks/finding';
import type { Workshop } from './workshop';

/** What the checks of this workshop go by: its rules, and its shelf as it is today. */
export function checkContext({ houseRules, materials, lots, now }: Workshop): CheckContext {
  return {
    rules: houseRules.read().item,
    shelf: {
      materials: materials.all().map(({ item }) => item),
      stock: lots.stock(),
      today: now().slice(0, 10),
    },
  };
}
