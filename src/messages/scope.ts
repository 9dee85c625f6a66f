import { type Job, type Scope, scopeParts } from '@esmero/model';
import { capital } from './capital';
import { scopeName } from './words';

const listed = (names: readonly string[]): string => (names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}` : (names[0] ?? ''));

/** "All of the outside", or "Bodywork, glass outside and door shuts". */
export const scopeText = (scope: Scope): string =>
  scopeParts.every((part) => scope.includes(part)) ? 'All of the outside' : capital(listed(scope.map((part) => scopeName[part])));

/** What is washed, under the name it was sold by. */
export const soldText = ({ scope, soldAs }: Pick<Job, 'scope' | 'soldAs'>): string => (soldAs ? `${soldAs.name}: ${scopeText(scope).replace(/^./, (letter) => letter.toLowerCase())}` : scopeText(scope));
