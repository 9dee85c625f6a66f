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
export function spotSentence({ left, purpose, dwellS, count, rounds, brush }: SpotPlan): string {
  if (left) return `Stay: ${spotLeftBecause[left]}.`;
  const spots = count === 1 ? 'it' : 'them';
  const goes =
    rounds === 2
      ? `two goes of ${Math.round(dwellS / 2)} s: tar is hard in the cold, and a warmer hour takes one`
      : `${Math.round(dwellS)} s to soften`;
  const aside =
    purpose === 'solvent'
      ? ` Onto a towel side of its own${rounds === 1 ? '; keep as much for a second go' : ''}.`
      : '';
  return `${contentName[purpose]} on ${spots}, ${goes}. Lift before the wipe.${aside}${brush ? ' A soft wet brush helps.' : ''}`;
}

/** "12 mL on the grille and front bumper". */
export const bottleSentence = ({ ml, productMl, reserveMl, strength, zones }: Bottle, u: Units): string =>
  en(
    [
      strength
        ? `${u.volume(Math.ceil(ml))}, thinned 1 to ${fixed(strength.waterParts, 1)} in a labelled bottle of its own (${u.volume(productMl)} of product)`
        : `${u.volume(Math.ceil(ml))}, as it comes`,
      ...(reserveMl > 0 ? [`and ${u.volume(Math.ceil(reserveMl))} in reserve`] : []),
    ].join(', ') + `: ${zoneList(zones, 4)}.`,
  );

/** "two goes of 60 s". */
export const goesText = ({ rounds, dwellS }: BugPlan): string =>
  `${rounds === 2 ? 'two goes of ' : ''}${Math.round(dwellS / rounds)} s`;

/** What is done about bug splatter before the wipe: how much, how often, how long, and what is kept for a second go. */
export function bugSentence(bugs: BugPlan, u: Units): string {
  const { left, purpose, ml, rounds, mostC, brush } = bugs;
  if (left) return bugsAdvice(left, u.temperature(mostC));
  const how =
    rounds === 2
      ? `in ${goesText(bugs)}, the second where bugs are still on`
      : `${goesText(bugs)} to soften; keep as much for a second go`;
  const help = brush ? ' A soft wet brush helps.' : '';
  return `${u.volume(ml)} of ${contentName[purpose].toLowerCase()}, ${how}. Lift, do not rub.${help}`;
}
