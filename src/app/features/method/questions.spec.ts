import { describe, expect, it } from 'vitest';
import { tradeOffsOf, finish } from '@esmero/core';
import { PLANNING } from '../../state/ports';
import { show } from '../../testing/show';
import { FrontComponent } from './front.component';
import { MatteredComponent } from './mattered.component';
import { WhatIfComponent } from './what-if.component';

describe('long questions', () => {
  it('show how far they are, can be called off, and start anew with another job', async () => {
    let tell = (_share: number): void => undefined;
    const stopped: string[] = [];
    const never = {
      plan: async () => ({ kind: 'stale' }),
      study: (_kind: string, _job: unknown, progress: (share: number) => void) => {
        tell = progress;
        return new Promise(() => undefined);
      },
      stop: (kind: string) => stopped.push(kind),
    };
    const { press, element, fixture } = await show(WhatIfComponent, [{ provide: PLANNING, useValue: never }]);
    tell(0.4);
    fixture.detectChanges();
    expect(element.querySelector('[role=progressbar]')!.getAttribute('aria-valuenow')).toBe('40');
    await press('Stop');
    expect(stopped).toContain('what-if');
    expect(element.textContent).toContain('What would change the answer?');
  });

  it('lay the front out as plans to pick', async () => {
    const { element, job, settle } = await show(FrontComponent);
    const front = finish(tradeOffsOf(job.job()!));
    const dots = [...element.querySelectorAll<SVGElement>('.dot')];
    expect(dots).toHaveLength(front.length);
    expect(element.querySelectorAll('.dot.here')).toHaveLength(1);
    dots[0]!.dispatchEvent(new Event('click'));
    await settle();
    expect(Object.keys(job.job()!.choices.assumptions)).toEqual(
      expect.arrayContaining(['weightMarring', 'weightMinute', 'weightLitre']),
    );
  });

  it('say where the approach matters, and try the other one', async () => {
    const { element, job, settle } = await show(MatteredComponent);
    const cards = element.querySelectorAll<HTMLElement>('.change');
    expect(cards.length).toBeGreaterThan(2);
    const before = job.job()!.choices;
    cards[0]!.click();
    await settle();
    expect(job.job()!.choices).not.toEqual(before);
  });
});
