/** However it is typed: blanks, letter case and composed letters make no other name. */
export const asCompared = (text: string): string => text.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();

/** Digits tell telephone numbers apart; how they are grouped does not. */
const digitsOf = (phone: string): string => phone.replace(/\D/g, '');

/** What a person would compare two clients by, besides their name. */
export interface Reached {
  readonly phone: string;
  readonly email: string;
}

/** The same for whoever is reached the same way. */
export const reachedBy = ({ phone, email }: Reached): string => `${digitsOf(phone)} ${asCompared(email)}`;

/** What both say of how they are reached: telephone, then email. */
const comparedBy = (p: Reached, q: Reached): readonly (readonly [string, string])[] =>
  (
    [
      [digitsOf(p.phone), digitsOf(q.phone)],
      [asCompared(p.email), asCompared(q.email)],
    ] as const
  ).filter(([one, other]) => one !== '' && other !== '');

/**
 * Which of several of one name is meant: one that is reached the same way, else one of whom nothing says otherwise.
 * @example onePersonIn([{ phone: '555 01', email: '' }], { phone: '', email: 'a@b.example' }, (one) => one) // the one that is there
 */
export function onePersonIn<T>(all: readonly T[], wanted: Reached, reachedAs: (one: T) => Reached): T | undefined {
  const compared = all.map((one) => ({ one, by: comparedBy(reachedAs(one), wanted) }));
  const sure = compared.find(({ by }) => by.some(([p, q]) => p === q));
  return (sure ?? compared.find(({ by }) => by.length === 0))?.one;
}

/** Things by a name as it is compared; several may have the same. */
export class ByName<T> {
  private readonly all = new Map<string, T[]>();

  add(name: string, one: T): void {
    const key = asCompared(name);
    const known = this.all.get(key);
    if (known) known.push(one);
    else this.all.set(key, [one]);
  }

  of(name: string): readonly T[] {
    return this.all.get(asCompared(name)) ?? [];
  }
}
