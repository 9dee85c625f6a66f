import { describe, expect, it, vi } from 'vitest';
import type { Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { minutes } from '@esmero/messages';
import { JobDesk } from '../state/job-desk';
import { deskWith } from '../testing/desk';
import { pressable } from '../testing/pressable';
import { NetBoard } from '../ui/net/net-board';
import { ZoneInView } from '../ui/net/zone-in-view';
import { MethodStage } from '../features/method/method.stage';
import { MixStage } from '../features/mix/mix.stage';
import { WorkOrderStage } from '../features/work-order/work-order.stage';
import { SiteStage } from '../features/site/site.stage';
import { TowelsStage } from '../features/towels/towels.stage';
import { WalkRoundStage } from '../features/walk-round/walk-round.stage';

async function show<T>(stage: Type<T>) {
  const desk = await deskWith();
  const fixture = TestBed.createComponent(stage);
  fixture.detectChanges();
  const element = fixture.nativeElement as HTMLElement;
  const press = async (text: string): Promise<void> => {
    const button = pressable(element, text);
    if (!button) throw new Error(`No button ${text}`);
    button.click();
    await desk.settle();
    fixture.detectChanges();
  };
  return { ...desk, fixture, element, press, job: TestBed.inject(JobDesk), view: TestBed.inject(ZoneInView), board: TestBed.inject(NetBoard) };
}

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
    [...document.querySelectorAll<HTMLElement>('[role=menuitem] .p-menu-item-link, [role=menuitem] a')].find((item) => item.textContent?.includes('Left side onto right'))!.click();
    expect(job.job()!.soil['right-sill']!.spots).toEqual({ tar: 1 });
  });
});

describe('method', () => {
  it('lays the methods side by side with totals and what blocks them', async () => {
    const { element, job } = await show(MethodStage);
    const time = minutes(job.plan()!.totals.minutes.value);
    expect(element.querySelectorAll('article')).toHaveLength(4);
    expect(element.querySelector('article[data-method="rinseless"]')?.textContent).toMatch(new RegExp(`the plan.*${time}`, 's'));
    expect(element.querySelector('article[data-method="waterless"]')?.textContent).toContain('min');
  });

  it('takes the method that is asked for, and lets it go again', async () => {
    const { element, fixture, settle, job } = await show(MethodStage);
    const ask = async (): Promise<void> => {
      element.querySelector<HTMLButtonElement>('[data-method="waterless"] button')!.click();
      await settle();
      fixture.detectChanges();
    };
    await ask();
    expect(job.plan()!.method).toBe('waterless');
    await ask();
    expect(job.job()!.choices.method).toBe('auto');
  });

  it('lets every figure of the model be set otherwise, within its bounds', async () => {
    const { fixture, press, job } = await show(MethodStage);
    await press('All figures');
    const element = document.querySelector<HTMLElement>('.p-drawer')!;
    const field = element.querySelector<HTMLInputElement>('[id="a-limitBalanced"]')!;
    const type = (text: string): void => {
      field.value = text;
      Object.defineProperty(field, 'valueAsNumber', { configurable: true, value: Number(text) });
      field.dispatchEvent(new Event('blur'));
      fixture.detectChanges();
    };
    type('101');
    expect(job.job()!.choices.assumptions).toEqual({});
    expect(element.querySelector('.bad')?.textContent).toContain('From 1 to 100');
    type('20');
    expect(job.job()!.choices.assumptions).toEqual({ limitBalanced: 20 });
    const back = [...element.querySelectorAll('button')].find((b) => b.textContent?.includes('Back to 30'))!;
    back.click();
    expect(job.job()!.choices.assumptions).toEqual({});
  });

  it('says what would change the answer, and tries it', async () => {
    const { press, job, settle, fixture } = await show(MethodStage);
    await press('What would change');
    await settle();
    fixture.detectChanges();
    const card = [...document.querySelectorAll<HTMLElement>('esm-what-if .change')].find((one) => /(Waterless|Rinseless|Hybrid),/.test(one.textContent ?? ''))!;
    const [, method] = /(Waterless|Rinseless|Hybrid),/.exec(card.textContent ?? '')!;
    card.click();
    await settle();
    expect(job.plan()!.method).toBe(method!.toLowerCase());
  });

  it('fixes a treatment on a zone by hand', async () => {
    const { fixture, view, press, job } = await show(MethodStage);
    view.choose('roof');
    fixture.detectChanges();
    await press('Leave');
    expect(job.job()!.choices.fixed).toEqual({ roof: 'leave' });
    expect(job.zonePlans().get('roof')!.treatment).toBe('leave');
  });
});

describe('mix', () => {
  it('draws every vessel with its lines and says the amounts', async () => {
    const { element, job } = await show(MixStage);
    const mixes = job.plan()!.mix.mixes;
    expect(element.querySelectorAll('esm-vessel-drawing')).toHaveLength(mixes.length);
    expect(element.querySelector('[data-content="wash"] svg')?.getAttribute('aria-label')).toMatch(/water to \d/);
  });

  it('measures with another device and leaves a product behind', async () => {
    const { element, press, job } = await show(MixStage);
    const step = element.querySelector<HTMLInputElement>('#step')!;
    step.value = '5';
    step.dispatchEvent(new Event('blur'));
    expect(job.job()!.device.stepMl).toBe(5);
    await press('Waterless concentrate');
    expect(job.job()!.products.some(({ id }) => id === 'p-amber')).toBe(false);
  });
});

describe('towels', () => {
  it('draws every towel with its sides and lights the zones of a side', async () => {
    const { element, job, view } = await show(TowelsStage);
    const towels = job.plan()!.towels;
    expect(element.querySelectorAll('esm-towel-square')).toHaveLength(towels.length);
    const side = element.querySelector<SVGElement>('esm-towel-square g[role="button"]')!;
    side.dispatchEvent(new Event('focus'));
    const zones = towels[0]!.sides[0]!.entries.map(({ zoneId }) => zoneId);
    expect([...view.lit()]).toEqual([...new Set(zones)]);
    expect(element.querySelectorAll('esm-towel-square')[0]!.querySelectorAll('rect.cloth')).toHaveLength(towels[0]!.fold);
  });

  it('plans again when fewer towels are clean', async () => {
    const { element, fixture, job, settle } = await show(TowelsStage);
    const wheels = element.querySelector<HTMLInputElement>('[id="clean-t-wheels"]')!;
    wheels.value = '-3';
    wheels.dispatchEvent(new Event('blur'));
    fixture.detectChanges();
    expect(element.querySelector('.fault')?.textContent).toContain('from 0');
    wheels.value = '0';
    wheels.dispatchEvent(new Event('blur'));
    await settle();
    expect(job.job()!.towels.find(({ id }) => id === 't-wheels')!.clean).toBe(0);
  });
});

describe('work order', () => {
  it('lists every pass once, in order, with the cautions', async () => {
    const { element, job } = await show(WorkOrderStage);
    const numbers = [...element.querySelectorAll('.no')].map((n) => n.textContent).filter((text) => text !== '');
    expect(numbers).toEqual(job.plan()!.timeline.passes.map(({ number }) => String(number)));
    expect(element.querySelector('.care')?.textContent).toContain('Local codes');
    expect(element.querySelector('esm-run-chart svg')).not.toBeNull();
  });
});

describe('site', () => {
  it('takes a valid change and shows what is wrong with another', async () => {
    const { fixture, element, job } = await show(SiteStage);
    const type = (label: string, text: string): void => {
      const found = [...element.querySelectorAll('label')].find((one) => one.textContent?.startsWith(label))!;
      const input = element.querySelector<HTMLInputElement>(`[id="${found.htmlFor}"]`)!;
      input.value = text;
      input.dispatchEvent(new Event('blur'));
    };
    type('Water brought', '30');
    await vi.waitFor(() => expect(job.job()!.site.waterL).toBe(30), 20_000);
    fixture.detectChanges();
    type('Water brought', '-5');
    await vi.waitFor(() => {
      fixture.detectChanges();
      expect(element.querySelector('.fault')?.textContent).toContain('from 0');
    }, 20_000);
    expect(job.job()!.site.waterL).toBe(30);
  });
});
