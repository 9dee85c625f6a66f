import { worded } from '../english';

/** The site and its day. */
export const siteText = worded({
  everyPanel: 'Every panel can be worked at this hour.',
  fromHour: (hour: string): string => `From ${hour} every panel can be worked.`,
  noHour: 'Shade it, or take another day: no later hour of this one suits every panel.',
  unreachable: 'The weather service did not answer. Try again later, or type the weather: it stays as it is.',
  unreadable: 'The weather service returned no usable weather. Type the weather: it stays as it is.',
  asTyped: 'as typed, held all day while the sun moves',
  ribbonKey:
    'Crosses: too hot for the product, or dry before the smallest section is done. Grey: the place is in the shade.',
  localCode: 'The local code decides. When in doubt, nothing runs off.',
});
