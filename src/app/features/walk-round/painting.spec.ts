import { describe, expect, it } from 'vitest';
import { WalkRoundStage } from './walk-round.stage';
import { show } from '../../testing/show';

describe('walk-round', () => {
  it('paints a zone with what is in the hand', async () => {
    const { press, board, job, settle } = await show(WalkRoundStage);
    await press('sand or grit');
    await press('4');
    board.mode()!.press('roof', 's1');
    await settle();
    expect(job.job()!.soil.roof!.deposits).toEqual([{ kind: 'grit', level: 4 }]);
    expect(job.planState().cause).toBe('Roof: sand or grit 4');
  });

  it('paints by keys, a whole view and a whole class', async () => {
    const { board, job } = await show(WalkRoundStage);
    const key = board.mode()!.key!;
    expect(key('s', 'roof')).toBe(true);
    expect(key('2', 'roof')).toBe(true);
    expect(job.job()!.soil.roof!.deposits).toEqual([{ kind: 'salt', level: 2 }]);
    key('v', 'roof');
    expect(job.job()!.soil.bonnet!.deposits).toEqual([{ kind: 'salt', level: 2 }]);
    key('c', 'left-front-wheel');
    expect(job.job()!.soil['right-rear-wheel']!.deposits).toEqual([{ kind: 'salt', level: 2 }]);
    key('x', 'roof');
    expect(job.job()!.soil.roof).toBeUndefined();
    expect(key('q', 'roof')).toBe(false);
  });

  it('counts spots on the zone that was pressed and mirrors a side', async () => {
    const { fixture, press, view, job, element } = await show(WalkRoundStage);
    view.choose('left-sill');
    fixture.detectChanges();
    element.querySelector<HTMLButtonElement>('[aria-label="One more of tar spots"]')!.click();
    fixture.detectChanges();
    expect(job.job()!.soil['left-sill']!.spots).toEqual({ tar: 1 });
    await press('Whole area');
    [...document.querySelectorAll<HTMLElement>('[role=menuitem] .p-menu-item-link, [role=menuitem] a')]
      .find((item) => item.textContent?.includes('Left side onto right'))!
      .click();
    expect(job.job()!.soil['right-sill']!.spots).toEqual({ tar: 1 });
  });
});
