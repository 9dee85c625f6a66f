import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '../assumptions';
import { contacts, flushes, workingTreatments } from '../model';
import { commonTouching, contactRules } from './contacts';
import { withRinseFirst } from './dirt-limit';
import { flushRules } from './flushes';
import { kitsFor } from './available-treatments';
import type { Option } from './option';
import { hasJet, isRinsed, isShampooed, loosenedBy } from './treatment';

describe('a treatment', () => {
  it('is told by its two halves', () => {
    expect(workingTreatments).toHaveLength(flushes.length * contacts.length);
    expect(workingTreatments.filter(isRinsed)).toHaveLength(6 * contacts.length);
    expect(workingTreatments.filter(isShampooed)).toHaveLength(2 * flushes.length);
    expect(workingTreatments.filter(hasJet)).toHaveLength(3 * contacts.length);
    expect(loosenedBy('mist/rinseless')).toBe('mist');
  });

  it('says of its contact what the contact does', () => {
    for (const contact of contacts) {
      const rule = contactRules[contact];
      const { layers, dwellS, encapsulation, rinses } = rule.contact(
        { ...commonTouching, loadGm2: 1 },
        defaultAssumptions,
      );
      expect(rule.encapsulation(dwellS, defaultAssumptions), contact).toBe(encapsulation);
      expect(
        layers.map(({ purpose }) => purpose),
        contact,
      ).toEqual(rule.purposes);
      expect(rule.sprays !== null, contact).toBe(rule.aheadM2(defaultAssumptions) > 0);
      expect(rule.method === 'shampoo', contact).toBe(rinses !== undefined);
      expect(kitsFor(`none/${contact}`), contact).toEqual(rule.kits);
    }
  });

  it('takes dirt off only where something loosens it', () => {
    for (const flush of flushes) {
      const { is, most, jet, source } = flushRules[flush];
      expect(most('dust', defaultAssumptions) > 0, flush).toBe(!['nothing', 'mist'].includes(is));
      if (jet) expect(is, flush).toBe('rinse');
      expect(source === null, flush).toBe(['nothing', 'air'].includes(is));
    }
  });

  it('is no rinse where a mist only cools the panel', () => {
    const options = (['mist/rinseless', 'pump/rinseless', 'steam/waterless'] as const).map(
      (treatment) => ({ treatment }) as Option,
    );
    const { options: left, shut } = withRinseFirst(options, 'grit');
    expect(left.map(({ treatment }) => treatment)).toEqual(['pump/rinseless']);
    expect(shut.map(({ treatment }) => treatment)).toEqual(['mist/rinseless', 'steam/waterless']);
  });
});
