import { describe, expect, it } from 'vitest';
import { dealerLot } from '@esmero/demo';
import type { Lot } from '@esmero/model';
import { readLot, writeLot } from './lot-file';

const faultsOf = (lot: Lot): readonly string[] => {
  const found = readLot(writeLot(lot));
  return found.ok || found.why.code !== 'faults' ? [] : found.why.faults.map(({ path }) => path);
};

describe('a file with a lot', () => {
  it('comes back as it was written', () => {
    expect(readLot(writeLot(dealerLot))).toEqual({ ok: true, value: dealerLot });
  });

  it('is refused with the place of what is wrong', () => {
    const [first] = dealerLot.classes;
    expect(faultsOf({ ...dealerLot, people: 5 as never })).toEqual(['lot.people']);
    expect(faultsOf({ ...dealerLot, classes: [{ ...first!, count: 2.5 }] })).toEqual(['lot.classes[0].count']);
    expect(faultsOf({ ...dealerLot, classes: [first!, first!] })).toEqual(['lot.classes']);
    expect(readLot('{}').ok).toBe(false);
  });
});
