import { describe, expect, it } from 'vitest';
import { steady } from './clock';

/** A clock of a device that somebody sets. */
function device(at: number) {
  let time = at;
  return { read: () => time, goOn: (ms: number) => (time += ms) };
}

describe('the clock of a page', () => {
  it('goes on from where it was when the device’s clock is set back', () => {
    const { read, goOn } = device(1_000_000);
    const clock = steady(read);
    expect(clock.now()).toBe(1_000_000);
    goOn(5000);
    expect(clock.now()).toBe(1_005_000);
    goOn(-3_600_000);
    expect(clock.now()).toBe(1_005_000);
    goOn(7000);
    expect(clock.now()).toBe(1_012_000);
  });

  it('goes on from what was noted last, after a reload with the clock set back', () => {
    const { read, goOn } = device(1_000_000);
    const clock = steady(read);
    clock.notBefore(1_600_000);
    expect(clock.now()).toBe(1_600_000);
    goOn(2000);
    expect(clock.now()).toBe(1_602_000);
  });

  it('does not follow what was noted in another year', () => {
    const clock = steady(device(1_000_000).read);
    clock.notBefore(Date.UTC(2036, 0, 1));
    expect(clock.now()).toBe(1_000_000);
  });
});
