import { pourLetter } from '../../../../core/plan/plan';
import { showTemperature } from '../../../../core/units/showQuantity';
import { lengthWords } from '../../lengthWords';
import type { Describe } from '../described';

export const jugTooThick: Describe<'heat-jug-too-thick'> = (
  { pourIndex, middleC, lowC, tooThickC, pourS, isLikely },
  showing,
) => ({
  title: `${pourLetter(pourIndex ?? 0)} ${isLikely ? 'is' : 'may be'} too thick before its last cavity`,
  reason: `In ${lengthWords(pourS, showing.locale)} of pouring its jug falls to ${showTemperature(isLikely ? middleC : lowC, showing)}; below ${showTemperature(tooThickC, showing)} it no longer runs. Warm it up once in between, 10 s, or pour in two melts.`,
  fixLabel: null,
});
