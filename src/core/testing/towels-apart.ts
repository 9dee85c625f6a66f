import fc from 'fast-check';
import { defaultAssumptions } from '../assumptions';
import { type CleanlinessClass, type TowelBatch, zoneIds } from '../model';
import { type TowelNeed, fillingOf } from '../towel/need';
import { towelLedger } from '../towel/ledger';
import type { Wiping } from '../towel/wiping';
import { metres } from '../units';
import type { Highs } from './choice-apart';

/** Sides are held to their limits exactly. */
const a = { ...defaultAssumptions, sideOver: 0 };

const SIDES = 4;
const batch: TowelBatch = {
  id: 't',
  name: 'towels',
  role: 'wash',
  widthM: metres(0.4),
  heightM: metres(0.4),
  gsm: 400,
  pile: 'short',
  sides: SIDES,
  clean: 0,
  origin: 'own',
};

const need = fc.record<TowelNeed>({
  role: fc.constant('wash'),
  use: fc.constant('wash'),
  moment: fc.constant('pass'),
  cleanliness: fc.constantFrom<CleanlinessClass>(1, 2, 3),
  dirtG: fc.double({ min: 0, max: 3, noNaN: true }),
  liquidMl: fc.double({ min: 0, max: 30, noNaN: true }),
  reachShare: fc.double({ min: 0.1, max: 1.8, noNaN: true }),
  soaked: fc.constant(false),
});
/** What one person wipes, pass by pass. */
export const anyRow = fc.array(fc.tuple(need, fc.boolean()), { minLength: 1, maxLength: 6 }).map((list) => {
  let pass = 0;
  const wipings = list.map(([one, begins], i): Wiping => ({
    zoneId: zoneIds[i]!,
    pass: begins || i === 0 ? ++pass : pass,
    share: 1,
    need: one,
  }));
  // A pass is as dirty as the dirtiest in it.
  return wipings.map((one) => ({
    ...one,
    need: {
      ...one.need,
      cleanliness: Math.max(
        ...wipings.filter((other) => other.pass === one.pass).map((other) => other.need.cleanliness),
      ) as CleanlinessClass,
    },
  }));
});

/**
 * Whether so many towels do, by an independent mixed-integer solver, side by side.
 * @param byHand with the rule of the hand as constraints: one towel at a time, sides in order, none returned to, a fresh
 *   one for each pass on upper paint, a towel that was put down only for something dirtier. Without: perfect bookkeeping
 */
export function isEnough(highs: Highs, row: readonly Wiping[], towels: number, byHand: boolean): boolean | undefined {
  const at = row.map((_one, i) => i);
  const classOf = (i: number): number => row[i]!.need.cleanliness;
  const all = Array.from({ length: towels }, (_, t) => t);
  const sides = Array.from({ length: SIDES }, (_, s) => s);
  const [x, u] = [
    (t: number, s: number, i: number): string => `x${t}s${s}n${i}`,
    (t: number, s: number, i: number): string => `u${t}s${s}n${i}`,
  ];
  const w = (t: number, i: number): string => `w${t}n${i}`;
  const rules: string[] = [];
  let number = 0;
  const rule = (text: string): void => void rules.push(` r${number++}: ${text}`);
  for (const i of at) rule(`${all.flatMap((t) => sides.map((s) => `+ 1 ${x(t, s, i)}`)).join(' ')} = 1`);
  for (const t of all) {
    for (const s of sides) {
      for (const limit of ['dirt', 'liquid', 'reach'] as const)
        rule(
          `${at.map((i) => `+ ${fillingOf(row[i]!.need, batch, 0, a)[limit].toFixed(9)} ${x(t, s, i)}`).join(' ')} <= 1`,
        );
      for (const i of at) {
        rule(`+ 1 ${x(t, s, i)} - 1 ${u(t, s, i)} <= 0`);
        rule(`+ 1 ${u(t, s, i)} - 1 ${w(t, i)} <= 0`);
      }
    }
    for (const i of at)
      for (const j of at) {
        if (j <= i) continue;
        if (classOf(j) < classOf(i)) rule(`+ 1 ${w(t, i)} + 1 ${w(t, j)} <= 1`);
        if (!byHand) continue;
        for (const s of sides) {
          // Sides are shown in order, and each pass on upper paint begins on a fresh one.
          for (const later of sides) if (later > s) rule(`+ 1 ${u(t, later, i)} + 1 ${u(t, s, j)} <= 1`);
          if (classOf(j) <= 1 && row[i]!.pass !== row[j]!.pass) rule(`+ 1 ${u(t, s, i)} + 1 ${u(t, s, j)} <= 1`);
          // What is on another towel or side in between ends this side.
          for (const k of at)
            if (k > i && k < j)
              for (const t2 of all)
                for (const s2 of sides)
                  if (t2 !== t || s2 !== s) rule(`+ 1 ${u(t, s, i)} + 1 ${u(t, s, j)} + 1 ${u(t2, s2, k)} <= 2`);
        }
        for (const t2 of all) {
          if (t2 === t) continue;
          for (const k of at) {
            if (k > i && k < j && classOf(j) <= classOf(i)) rule(`+ 1 ${w(t, i)} + 1 ${w(t, j)} + 1 ${w(t2, k)} <= 2`);
            // Both in one wiping: only one of them goes on, unless for something dirtier.
            if (t2 > t && k > i && classOf(j) <= classOf(i) && classOf(k) <= classOf(i))
              rule(`+ 1 ${w(t, i)} + 1 ${w(t2, i)} + 1 ${w(t, j)} + 1 ${w(t2, k)} <= 3`);
          }
        }
      }
  }
  const binaries = all.flatMap((t) => at.flatMap((i) => [w(t, i), ...sides.map((s) => u(t, s, i))]));
  const model = `Minimize\n obj: + 0 ${w(0, 0)}\nSubject To\n${rules.join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`;
  const { Status } = highs.solve(model, { time_limit: 20 });
  return Status === 'Optimal' ? true : Status === 'Infeasible' ? false : undefined;
}

/** Towels that the plan takes for a row. */
export const towelsFor = (row: readonly Wiping[]): number =>
  towelLedger([row], [{ ...batch, clean: 99 }], { soakedSides: 8, soakedTowel: 'retire' }, a).length;
