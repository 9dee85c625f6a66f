import type { NotDone } from '@esmero/core';
import { type Job, type Scope, type ScopePart, usualScope } from '@esmero/model';
import { capital } from './capital';
import { markName, scopeName, zoneList } from './words';

const listed = (names: readonly string[]): string =>
  names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}` : (names[0] ?? '');

const isUsual = (part: ScopePart): boolean => (usualScope as readonly ScopePart[]).includes(part);

/** "All of the outside", or "Bodywork, glass outside and door shuts". */
export const scopeText = (scope: Scope): string =>
  usualScope.every((part) => scope.includes(part))
    ? capital(listed(['all of the outside', ...scope.filter((part) => !isUsual(part)).map((part) => scopeName[part])]))
    : capital(listed(scope.map((part) => scopeName[part])));

/** What is washed, under the name it was sold by. */
export const soldText = ({ scope, soldAs }: Pick<Job, 'scope' | 'soldAs'>): string =>
  soldAs ? `${soldAs.name}: ${scopeText(scope).replace(/^./, (letter) => letter.toLowerCase())}` : scopeText(scope);

/** What to tell the client that this wash does not do. */
export function notDoneSentence(one: NotDone): string {
  switch (one.code) {
    case 'not-asked':
      return `Not asked for, so left as it is: ${listed(one.parts.map((part) => scopeName[part]))}.`;
    case 'gaps':
      return `Gaps and edges are wiped over, not rinsed, so dirt may stay in them: ${zoneList(one.zones, 6)}.`;
    case 'bonded':
      return `Fallout has bonded to the paint and may feel rough afterwards: ${zoneList(one.zones, 6)}. It comes off with a decontamination on another day.`;
    case 'marks':
      return `Marks in the paint stay as they are: ${listed(one.kinds.map((kind) => markName[kind].toLowerCase()))}.`;
  }
}
