import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { type Plan, type Totals, paint, planJob } from '@esmero/core';
import { zoneIds } from '@esmero/model';
import { unitsOf } from '@esmero/messages';
import { deck } from '../testing/desk';
import { TotalsStripComponent } from './totals-strip.component';
import { RunChartComponent } from './run-chart/run-chart.component';
import { VesselDrawingComponent } from './vessel/vessel-drawing.component';

const before = planJob(deck);
const after = planJob(paint(deck, zoneIds, { deposit: { kind: 'dust', level: 0 }, onTop: false }));
const refused = planJob({ ...deck, choices: { ...deck.choices, method: 'decline' } });

function strip(
  plan: Plan | null,
  past: Plan | null,
  more: { cause?: string; pending?: boolean; failure?: string | null } = {},
) {
  const fixture = TestBed.createComponent(TotalsStripComponent);
  const inputs = { plan, before: past, cause: '', pending: false, failure: null, units: unitsOf('metric'), ...more };
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  fixture.detectChanges();
  const element = fixture.nativeElement as HTMLElement;
  const asked: (keyof Totals)[] = [];
  fixture.componentInstance.ask.subscribe((key) => asked.push(key));
  return { element, asked };
}

describe('the strip of totals', () => {
  it('shows method and totals, and hands on which is asked about', () => {
    const { element, asked } = strip(before, null);
    expect(element.querySelector('.method')?.textContent).toContain('Rinseless');
    expect(element.querySelectorAll('[data-total]')).toHaveLength(6);
    element.querySelector<HTMLButtonElement>('[data-total="litres"]')!.click();
    expect(asked).toEqual(['litres']);
  });

  it('says what the last change did and why', () => {
    const { element } = strip(after, before, { cause: 'Whole car: clean' });
    expect(element.querySelector('.cause')?.textContent).toContain('Whole car: clean');
    const changes = [...element.querySelectorAll('.change')].map(({ textContent }) => textContent).filter(Boolean);
    expect(changes.length).toBeGreaterThan(0);
    for (const change of changes) expect(change).toMatch(/^[+−]/);
    const same = strip(before, before, { cause: 'Note written' }).element;
    expect(same.querySelector('.cause')?.textContent).toContain('the totals stay');
  });

  it('says when the method changed, and shows no totals for a refusal', () => {
    const { element } = strip(refused, before, { cause: 'Not today asked for' });
    expect(element.querySelector('.cause')?.textContent).toContain('from rinseless to not today');
    expect(element.querySelectorAll('[data-total]')).toHaveLength(0);
    expect(strip(refused, null).element.querySelector('.cause')?.textContent).toContain('Method says why');
  });

  it('says that it is working, and when that failed', () => {
    expect(strip(null, null, { pending: true }).element.textContent).toContain('Working it out');
    expect(strip(before, null, { failure: 'no worker' }).element.textContent).toContain('no worker');
  });

  it('leaves the cost out when a price is missing', () => {
    const unpriced = planJob({ ...deck, products: deck.products.map((p) => ({ ...p, priceMinor: null })) });
    expect(strip(unpriced, null).element.querySelector('[data-total="costMinor"]')).toBeNull();
  });
});

describe('drawings', () => {
  it('keep the water and the product below the working line of every vessel', () => {
    for (const mix of before.mix.mixes) {
      const fixture = TestBed.createComponent(VesselDrawingComponent);
      fixture.componentRef.setInput('vessel', mix.vessel);
      fixture.componentRef.setInput('content', mix.content);
      fixture.componentRef.setInput('fill', mix.fills[0]);
      fixture.componentRef.setInput('units', unitsOf('metric'));
      fixture.detectChanges();
      const element = fixture.nativeElement as HTMLElement;
      const lines = [...element.querySelectorAll('text')].map((text) => text.textContent);
      // Lines stand from the top down.
      expect(lines[0]).toContain('working line');
      const texts = [...element.querySelectorAll('text')].map((text) => Number(text.getAttribute('y')));
      texts.slice(1).forEach((y, i) => expect(y - texts[i]!).toBeGreaterThan(8));
    }
  });

  it('lay every pass of the run on the clock', () => {
    const fixture = TestBed.createComponent(RunChartComponent);
    fixture.componentRef.setInput('plan', before);
    fixture.detectChanges();
    const element = fixture.nativeElement as HTMLElement;
    const bars = [...element.querySelectorAll('rect[data-kind]')];
    const numbers = [...element.querySelectorAll('text.number')].map((one) => Number(one.textContent));
    expect(bars.length).toBeLessThan(before.timeline.steps.length);
    expect(numbers.length).toBeGreaterThan(3);
    expect(before.timeline.passes.map(({ number }) => number)).toEqual(expect.arrayContaining(numbers));
    const covered = bars.reduce((sum, bar) => sum + Number(bar.getAttribute('width')), 0);
    expect(covered).toBeGreaterThan(0.9 * 1100);
    for (const bar of bars) {
      expect(Number(bar.getAttribute('x'))).toBeGreaterThanOrEqual(0);
      expect(Number(bar.getAttribute('x')) + Number(bar.getAttribute('width'))).toBeLessThanOrEqual(1101);
    }
    expect(element.querySelector('svg')?.getAttribute('aria-label')).toContain('waiting');
  });
});
