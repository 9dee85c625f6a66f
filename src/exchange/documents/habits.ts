import { habitAnswers, habitKeys } from '@esmero/model';
import { Id, Maybe, OneOf, Text } from './rules';

/** What practitioners do differently, one field a question. */
export class HabitsDocument {}
for (const key of habitKeys) OneOf(habitAnswers[key])(HabitsDocument.prototype, key);

export class HabitSetDocument extends HabitsDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
}

/** A client's wishes: the same questions, each of which may be left open. */
export class WishesDocument {}
for (const key of habitKeys) {
  Maybe()(WishesDocument.prototype, key);
  OneOf(habitAnswers[key])(WishesDocument.prototype, key);
}
