import type { Describe } from './described';
import { cameWords, takeOutLabel } from './takeOut';

export const notForSkin: Describe<'not-for-skin'> = ({ about, fix }) => ({
  title: `${about} is not released for skin`,
  reason: `Its supplier releases it for other uses only. It must not go into soap, however little.${cameWords({ fix })}`,
  fixLabel: takeOutLabel({ fix }),
});

export const candleOnly: Describe<'candle-only'> = ({ about, fix }) => ({
  title: `${about} is for candles only`,
  reason: `Candle scents and dyes are made to burn, not to be washed with. It must not go into soap.${cameWords({ fix })}`,
  fixLabel: takeOutLabel({ fix }),
});

export const foodColour: Describe<'food-colour'> = ({ about, severity, fix }) => ({
  title: `${about} is food colouring`,
  reason: `It moves into the layers beside it and stains skin and cloth.${severity === 'stop' ? ' The house rules refuse it; they can lower this to a caution.' : ''}${cameWords({ fix })}`,
  fixLabel: takeOutLabel({ fix }),
});
