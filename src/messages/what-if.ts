import type { Change, WhatIf } from '@esmero/core';
import { type Units, minutes } from './units';
import { methodName, roleName, schoolName, zoneList } from './words';

/** A change as a condition, and as what pressing it does. */
export function changeText(change: Change, u: Units): string {
  switch (change.code) {
    case 'school':
      return `Under the ${schoolName[change.school].toLowerCase()} school`;
    case 'shade':
      return 'In the shade, panels cooled';
    case 'cool-panels':
      return `With panels cooled to ${u.temperature(change.panelC)}`;
    case 'power':
      return 'With mains power, for hot water';
    case 'second-person':
      return 'With a second person';
    case 'capture':
      return `With a mat that holds ${u.water(change.litres)}, where that is allowed`;
    case 'water':
      return `With ${u.water(change.litres)} of water`;
    case 'minutes':
      return `With ${minutes(change.minutes)}`;
    case 'towels':
      return `With ${change.clean} clean ${roleName[change.role]}`;
    case 'leave':
      return `Leaving these for a full rinse wash: ${zoneList(change.zones, 3)}`;
  }
}

/** "In the shade, panels cooled: rinseless, 20 min and 5.1 L." */
export function whatIfSentence({ change, method, minutes: time, litres }: WhatIf, u: Units): string {
  const what = methodName[method].toLowerCase();
  return `${changeText(change, u)}: ${what}${method === 'decline' ? '' : `, ${minutes(time)} and ${u.water(litres)}`}.`;
}
