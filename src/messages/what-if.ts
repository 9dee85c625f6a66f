import type { Change, WhatIf } from '@esmero/core';
import { type Units, hourText, minutes } from './units';
import { gearName, levelName, methodName, roleName, approachName, zoneList, zoneName } from './words';

/** A change as a condition, and as what pressing it does. */
export function changeText(change: Change, u: Units): string {
  switch (change.code) {
    case 'approach':
      return `With the ${approachName[change.approach].toLowerCase()} approach`;
    case 'shade':
      return 'In the shade, panels cooled';
    case 'cool-panels':
      return `With panels cooled to ${u.temperature(change.panelC)}`;
    case 'hour':
      return `At ${hourText(change.hour)}`;
    case 'warm-liquid':
      return `With the mixes warmed to ${u.temperature(change.liquidC)}`;
    case 'gear':
      return `With a ${gearName[change.gear]}`;
    case 'level':
      return `${zoneName(change.zone)} at level ${change.level}, ${levelName[change.level]}`;
    case 'power':
      return 'With mains power';
    case 'cup':
      return 'With all eight sides of each wetted towel, re-wetted from a cup';
    case 'guarded-bucket':
      return 'With a mitt, rinsed above a grit guard in one bucket';
    case 'steps':
      return 'Steps brought along';
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
      return `Leaving out for now: ${zoneList(change.zones, 3)}`;
  }
}

/** "Rinseless, 20 min and 5.1 L": what a change brings. */
export function whatIfBrings({ method, minutes: time, litres, regained }: Omit<WhatIf, 'change'>, u: Units): string {
  if (method === 'decline') return methodName[method];
  const more = regained > 0 ? `, and ${regained === 1 ? 'one part more is' : `${regained} parts more are`} done` : '';
  return `${methodName[method]}, ${minutes(time)} and ${u.water(litres)}${more}`;
}

/** "In the shade, panels cooled: rinseless, 20 min and 5.1 L." */
export const whatIfSentence = (answer: WhatIf, u: Units): string => {
  const brings = whatIfBrings(answer, u);
  return `${changeText(answer.change, u)}: ${brings[0]!.toLowerCase()}${brings.slice(1)}.`;
};
