import type { AnswerReason, Gain, Plan } from '@esmero/core';
import { gateSentence, verdictSentence } from './reasons';
import { type Units, fixed, indexText, minutes } from './units';
import { methodName } from './words';

/** The answer in one line. */
export const answerLine = ({ method }: Pick<Plan, 'method'>): string =>
  method === 'decline' ? 'Not today' : `${methodName[method]} today`;

function gainText({ figure, by }: Gain, u: Units): string {
  switch (figure) {
    case 'minutes':
      return `${minutes(by)} quicker`;
    case 'litres':
      return `${u.water(by)} less water`;
    case 'towels':
      return `${fixed(by)} ${Math.round(by) === 1 ? 'towel' : 'towels'} fewer`;
    case 'index':
      return `marring index ${indexText(by)} lower`;
  }
}

/** Why, in a sentence. */
export function reasonText(reason: AnswerReason, u: Units): string {
  switch (reason.code) {
    case 'asked-for':
      return 'You asked for this method.';
    case 'ruled-out': {
      const where = reason.parts === 1 ? 'one panel' : `${reason.parts} panels`;
      return `${methodName[reason.method]} alone is ruled out on ${where}. ${reason.gate ? gateSentence(reason.gate, u) : ''}`.trim();
    }
    case 'beats': {
      const other = methodName[reason.method].toLowerCase();
      if (reason.gains.length === 0)
        return `The best balance of marring, time, water, towels and cost; ${other} comes next.`;
      return `Against ${other}: ${reason.gains.map((gain) => gainText(gain, u)).join(', ')}.`;
    }
    case 'verdict':
      return verdictSentence(reason.verdict, u);
  }
}
