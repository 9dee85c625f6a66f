import type { Bottle, BugPlan, Question, SpotPlan } from '@esmero/core';
import { en } from './english';
import { bugsAdvice, spotLeftBecause } from './reasons';
import { type Units, fixed, indexText } from './units';
import { contentName, zoneList } from './words';

/** Why a zone deserves a second look, and how to look. */
export function questionSentence({ basis, index, worseIndex, limit }: Question): string {
  const known = basis === 'seen' ? 'judged by eye' : basis === 'forecast' ? 'only forecast' : 'not looked at';
  return `${known}: index ${indexText(index)} now, ${indexText(worseIndex)} if it is dirtier; limit ${indexText(limit)}`;
}

/** What is done about spots of one kind before the wipe. */
export function spotSentence({ left, purpose, dwellS, count }: SpotPlan): string {
  if (left) return `Stay: ${spotLeftBecause[left]}.`;
  const spots = count === 1 ? 'it' : 'them';
  return `${contentName[purpose]} on ${spots}, ${Math.round(dwellS)} s to soften, lifted before the wipe.`;
}

/** "12 mL on the grille and front bumper". */
export const bottleSentence = ({ ml, productMl, strength, zones }: Bottle, u: Units): string =>
  strength
    ? en(`${u.volume(ml)}, thinned 1 to ${fixed(strength.waterParts, 1)} in a labelled bottle of its own (${u.volume(productMl)} of product): ${zoneList(zones, 4)}.`)
    : `${u.volume(ml)}, as it comes: ${zoneList(zones, 4)}.`;

/** "two goes of 60 s". */
export const goesText = ({ rounds, dwellS }: BugPlan): string => `${rounds === 2 ? 'two goes of ' : ''}${Math.round(dwellS / rounds)} s`;

/** What is done about bug splatter before the wipe: how much, how often, how long, and what is kept for a second go. */
export function bugSentence(bugs: BugPlan, u: Units): string {
  const { left, purpose, ml, rounds, mostC, brush } = bugs;
  if (left) return bugsAdvice(left, u.temperature(mostC));
  const how = rounds === 2 ? `in ${goesText(bugs)}, the second where bugs are still on` : `${goesText(bugs)} to soften; keep as much for a second go`;
  const help = brush ? ' A soft wet brush helps.' : '';
  return `${u.volume(ml)} of ${contentName[purpose].toLowerCase()}, ${how}. Lift, do not rub.${help}`;
}
