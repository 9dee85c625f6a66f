import { habitAnswers } from '@esmero/core';
import { Id, Maybe, OneOf, Text } from './rules';

/** What practitioners do differently, one field a question. */
export class HabitsDocument {
  @OneOf(habitAnswers.approach) approach!: string;
  @OneOf(habitAnswers.dirtLimit) dirtLimit!: string;
  @OneOf(habitAnswers.chemistry) chemistry!: string;
  @OneOf(habitAnswers.parts) parts!: string;
  @OneOf(habitAnswers.strength) strength!: string;
  @OneOf(habitAnswers.spray) spray!: string;
  @OneOf(habitAnswers.dwell) dwell!: string;
  @OneOf(habitAnswers.order) order!: string;
  @OneOf(habitAnswers.rinseWith) rinseWith!: string;
  @OneOf(habitAnswers.steamWith) steamWith!: string;
  @OneOf(habitAnswers.standing) standing!: string;
  @OneOf(habitAnswers.pair) pair!: string;
  @OneOf(habitAnswers.drying) drying!: string;
  @OneOf(habitAnswers.wiping) wiping!: string;
  @OneOf(habitAnswers.sun) sun!: string;
  @OneOf(habitAnswers.cold) cold!: string;
  @OneOf(habitAnswers.topping) topping!: string;
  @OneOf(habitAnswers.brush) brush!: string;
  @OneOf(habitAnswers.droppings) droppings!: string;
  @OneOf(habitAnswers.wheels) wheels!: string;
  @OneOf(habitAnswers.glass) glass!: string;
  @OneOf(habitAnswers.bucket) bucket!: string;
  @OneOf(habitAnswers.dryTouch) dryTouch!: string;
  @OneOf(habitAnswers.guards) guards!: string;
  @OneOf(habitAnswers.medium) medium!: string;
  @OneOf(habitAnswers.soakedTowel) soakedTowel!: string;
  @OneOf(habitAnswers.glassTowels) glassTowels!: string;
  @OneOf(habitAnswers.soakedSides) soakedSides!: number;
}

export class HabitSetDocument extends HabitsDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
}

/** A client's wishes: the same questions, each of which may be left open. */
export class WishesDocument {
  @Maybe() @OneOf(habitAnswers.approach) approach?: string;
  @Maybe() @OneOf(habitAnswers.dirtLimit) dirtLimit?: string;
  @Maybe() @OneOf(habitAnswers.chemistry) chemistry?: string;
  @Maybe() @OneOf(habitAnswers.parts) parts?: string;
  @Maybe() @OneOf(habitAnswers.strength) strength?: string;
  @Maybe() @OneOf(habitAnswers.spray) spray?: string;
  @Maybe() @OneOf(habitAnswers.dwell) dwell?: string;
  @Maybe() @OneOf(habitAnswers.order) order?: string;
  @Maybe() @OneOf(habitAnswers.rinseWith) rinseWith?: string;
  @Maybe() @OneOf(habitAnswers.steamWith) steamWith?: string;
  @Maybe() @OneOf(habitAnswers.standing) standing?: string;
  @Maybe() @OneOf(habitAnswers.pair) pair?: string;
  @Maybe() @OneOf(habitAnswers.drying) drying?: string;
  @Maybe() @OneOf(habitAnswers.wiping) wiping?: string;
  @Maybe() @OneOf(habitAnswers.sun) sun?: string;
  @Maybe() @OneOf(habitAnswers.cold) cold?: string;
  @Maybe() @OneOf(habitAnswers.topping) topping?: string;
  @Maybe() @OneOf(habitAnswers.brush) brush?: string;
  @Maybe() @OneOf(habitAnswers.droppings) droppings?: string;
  @Maybe() @OneOf(habitAnswers.wheels) wheels?: string;
  @Maybe() @OneOf(habitAnswers.glass) glass?: string;
  @Maybe() @OneOf(habitAnswers.bucket) bucket?: string;
  @Maybe() @OneOf(habitAnswers.dryTouch) dryTouch?: string;
  @Maybe() @OneOf(habitAnswers.guards) guards?: string;
  @Maybe() @OneOf(habitAnswers.medium) medium?: string;
  @Maybe() @OneOf(habitAnswers.soakedTowel) soakedTowel?: string;
  @Maybe() @OneOf(habitAnswers.glassTowels) glassTowels?: string;
  @Maybe() @OneOf(habitAnswers.soakedSides) soakedSides?: number;
}
