import type { Drill, PracticeSession, Try } from '../model';

/** Days until a card comes again, by how often in a row it was right (judged: each wait about twice the last). */
const WAITS_DAYS = [0, 1, 3, 7, 16, 35] as const;
const DAY_MS = 86_400_000;
/** After a miss, so many others come first. */
const OTHERS_FIRST = 3;
/** Long enough to learn something, short enough for every day. */
export const sessionMs = 10 * 60_000;

/** What somebody has tried of a drill, the oldest first. */
export const triesOf = (sessions: readonly PracticeSession[], person: string, drill: Drill): readonly Try[] =>
  sessions
    .filter((one) => one.drill === drill && one.name === person)
    .flatMap(({ tries }) => tries)
    .sort((p, q) => p.at - q.at);

interface Standing {
  readonly streak: number;
  readonly last: Try | null;
}

function standingOf(card: string, tries: readonly Try[]): Standing {
  let streak = 0;
  let last: Try | null = null;
  for (const one of tries) {
    if (one.card !== card) continue;
    streak = one.isRight ? streak + 1 : 0;
    last = one;
  }
  return { streak, last };
}

/** When a card is to be shown again; a new one at once. */
export function dueAt(card: string, tries: readonly Try[]): number {
  const { streak, last } = standingOf(card, tries);
  return last ? last.at + WAITS_DAYS[Math.min(streak, WAITS_DAYS.length - 1)]! * DAY_MS : 0;
}

/**
 * The card that is next: of those that are due the least known one, then new ones in their order;
 * where there are none of either, the one that is due soonest. One that was just asked waits for a
 * few others.
 */
export function nextCard<C extends string>(cards: readonly C[], tries: readonly Try[], now: number): C {
  const recent = new Set(tries.slice(-OTHERS_FIRST).map(({ card }) => card));
  const open = cards.filter((card) => !recent.has(card));
  const from = open.length > 0 ? open : cards;
  const known = from.map((card) => ({ card, due: dueAt(card, tries), ...standingOf(card, tries) }));
  const due = known
    .filter(({ last, due: at }) => last && at <= now)
    .sort((p, q) => p.streak - q.streak || p.due - q.due)[0];
  const fresh = known.find(({ last }) => !last);
  return (due ?? fresh ?? known.sort((p, q) => p.due - q.due)[0]!).card;
}

/** How many of the cards are due, and how many are held for a week and more. */
export function deckStanding(
  cards: readonly string[],
  tries: readonly Try[],
  now: number,
): { readonly due: number; readonly held: number; readonly fresh: number } {
  const all = cards.map((card) => ({ due: dueAt(card, tries), ...standingOf(card, tries) }));
  return {
    due: all.filter(({ last, due }) => last && due <= now).length,
    fresh: all.filter(({ last }) => !last).length,
    held: all.filter(({ streak }) => streak >= 3).length,
  };
}
