import { waterActivityOf } from '../heat/substanceOf';
import type { HouseRules } from '../houseRules/houseRules';
import type { Sheet } from '../plan/sheet';

/** By the house rule, and whatever it says where the bar would draw water from the room. */
export function mustWrap({ pours, making: { room } }: Sheet, { wrap }: Pick<HouseRules, 'wrap'>): boolean {
  const maySweat = pours.some(({ base: { sweat } }) => sweat !== 'low' && sweat !== 'none');
  const top = pours.at(-1)?.base;
  return wrap === 'same-day' || maySweat || (top !== undefined && room.humidity > waterActivityOf(top));
}
