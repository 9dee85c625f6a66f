import { worded } from '../english';

/** The handover. */
export const handoverText = worded({
  noPlan:
    'There is no plan for this car today, so there is nothing to hand over. Method says why, and what would help.',
  noMarks: 'Nothing was noted on the walk-round.',
  claimed: 'As claimed on the product’s label at the strength that was mixed; not our measurement.',
  usedLike: 'The car is used like this:',
  forecast:
    'Forecast from how the car is used, in weather like today’s: right within a factor of about two. What you see on the car overrides it.',
  seenTogether: 'Seen together on the walk-round, and handed over in this condition:',
  usedFromNow: 'How the car is used from now on',
  key: 'Solid: certain. Pale: possible. Line: forecast. Days from the wash.',
});
