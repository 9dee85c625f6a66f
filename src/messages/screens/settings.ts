import { worded } from '../english';

/** How Esmero speaks, measures and looks. */
export const settingsText = worded({
  english: 'Names of the parts of a car, spelling, and how dates are written. What you have typed stays as it is.',
  units: 'Stored and exported figures are exact either way.',
  theme: 'Dark is easier at night, light in the sun. The run is dark in both.',
  run: 'The device has to speak by itself: nothing is sent anywhere. A tone comes when something is ready or about to dry.',
});
