import { worded } from '../english';

/** The method and what explains it. */
export const methodText = worded({
  gainsNothing: (method: string): string => `Mixing methods gains nothing here: the best mix is ${method} alone.`,
  untouched: 'Nothing is touched. The car gets a full rinse wash elsewhere.',
  tradeDots:
    'Each dot is a whole plan within every limit, its size the water. Press one to plan this job with the same trade-offs. The filled one is the plan as it is.',
  noTrade: 'Every plan breaks a limit here, so there is nothing to trade.',
  tradeLabel: 'Plans that no other beats in time, marring and water at once',
  noHabits: 'none in the library.',
  noHelp: 'Nothing we tried would help.',
  usesLog: 'This plan uses your log. Its figures are among those you changed.',
  noMatter: 'No other answer would make a difference you would notice.',
  press: 'Press a panel on the car to see the options compared for it.',
  approach: 'Approach: how much marring risk is accepted',
  index:
    'The index is relative and our own judgement, not a measurement: 0 is no risk, 100 certain marks. The last figure is the score against the plan’s choice.',
  agreed: (by: string, day: string, note: string): string =>
    `${by} agreed on ${day} to go ahead against advice${note ? `: ${note}` : ''}. Only the index limit is lifted; every other limit holds.`,
  declined: (day: string): string => `Declined on ${day}. The client was told, and it is in the log.`,
  whoAgrees: 'Who agrees? Write the name.',
  onlyIndex: 'Only the index limit of your approach gives way. Mud, frost, heat, run-off and labels do not.',
  noChange: 'No single change we tried leads to a different method.',
});
