import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from 'vitest';
import { levelOfLoad, defaultAssumptions } from '@esmero/core';
import { soilName } from '@esmero/messages';
import { EyeDesk } from '../../state/eye-desk';
import { show } from '../../testing/show';
import { type } from '../../testing/type';
import { PracticePage } from './practice.page';
import { RANDOM } from './random';

/** Chance that goes round in steps. */
function steady(): () => number {
  let at = 0;
  return () => (at += 0.37) % 1;
}

/** Somebody who has not practised yet. */
async function open() {
  const all = await show(PracticePage, [{ provide: RANDOM, useValue: steady() }]);
  TestBed.inject(EyeDesk).pick('Ada');
  await all.settle();
  return all;
}

const sessions = () =>
  TestBed.inject(EyeDesk)
    .sessions()
    .filter(({ name }) => name === 'Ada');

describe('practice', () => {
  it('keeps what was judged try by try, and says what it was', async () => {
    const { element, press, settle, fixture } = await open();
    [...element.querySelectorAll<HTMLButtonElement>('button')]
      .find((one) => one.getAttribute('aria-label') === 'Begin: Judge the soil')!
      .click();
    await settle();
    await press('Dust');
    await press('2');
    await press('That is it');
    const [one] = sessions();
    expect(one).toMatchObject({ drill: 'panels', name: 'Ada' });
    const [tried] = one!.tries;
    const [kind] = tried!.card.split('/') as [keyof typeof soilName];
    expect(element.querySelector('[role=status]')!.textContent).toContain(
      `It is ${soilName[kind]}, level ${levelOfLoad(tried!.truth, defaultAssumptions)}`,
    );
    expect(tried!.answer).toBe(defaultAssumptions.soilLevel2);
    await press('Next panel');
    expect(element.querySelector('[role=status]')).toBeNull();
    await press('End');
    expect(element.textContent).toContain('1 panels judged so far');
    fixture.destroy();
  });

  it('grades a mix by the error in the bucket', async () => {
    const { element, press, settle, fixture } = await open();
    [...element.querySelectorAll<HTMLButtonElement>('button')]
      .find((one) => one.getAttribute('aria-label') === 'Begin: Mix it right')!
      .click();
    await settle();
    type(element.querySelector<HTMLInputElement>('#poured')!, '3', 'input');
    await settle();
    await press('Product first');
    await press('Pour it');
    const [one] = sessions()[0]!.tries;
    expect(one).toMatchObject({ answer: 3, isRight: false });
    expect(element.querySelector('[role=status]')!.textContent).toContain('Water goes in first');
    fixture.destroy();
  });

  it('deals the sides of a car against its ledger', async () => {
    const { element, press, settle, fixture } = await open();
    [...element.querySelectorAll<HTMLButtonElement>('button')]
      .find((one) => one.getAttribute('aria-label') === 'Begin: Towel sides')!
      .click();
    await settle();
    expect(element.textContent).toContain('There is no towel in your hand yet');
    await press('New towel');
    expect(element.querySelector('esm-verdict.right')).not.toBeNull();
    await press('Next panel');
    await press('New towel');
    expect(sessions()[0]!.tries).toHaveLength(2);
    fixture.destroy();
  });

  it('asks the planner what should be done with a car, and says why', async () => {
    const { element, press, settle, fixture } = await open();
    [...element.querySelectorAll<HTMLButtonElement>('button')]
      .find((one) => one.getAttribute('aria-label') === 'Begin: Wash it or not?')!
      .click();
    await settle();
    await settle();
    expect(element.querySelector('.facts')!.textContent).toContain('Rinse gear');
    await press('Not today');
    const [one] = sessions()[0]!.tries;
    expect(one!.card).toBe('dusty');
    expect(one!.isRight).toBe(false);
    expect(element.querySelectorAll('esm-verdict p').length).toBeGreaterThan(1);
    fixture.destroy();
  });
});
