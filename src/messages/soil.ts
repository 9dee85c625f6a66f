import type { Question, SpotPlan } from '@esmero/core';
import { spotLeftBecause } from './reasons';
import { indexText } from './units';
import { contentName } from './words';

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
