import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { hoursOfDay, finish } from '@esmero/core';
import type { Job } from '@esmero/model';
import { celsius } from '@esmero/units';
import { demoJobs } from '@esmero/demo';
import { unitsOf } from '@esmero/messages';
import { CautionsComponent } from './cautions.component';
import { DayChartComponent } from './day-chart.component';
import { VesselLabelComponent } from './vessel-label.component';

function chart(job: Job, system: 'metric' | 'us' = 'metric') {
  const fixture = TestBed.createComponent(DayChartComponent);
  fixture.componentRef.setInput('day', finish(hoursOfDay(job)));
  fixture.componentRef.setInput('hour', job.hour);
  fixture.componentRef.setInput('shadeHours', job.site.shadeHours);
  fixture.componentRef.setInput('units', unitsOf(system));
  fixture.detectChanges();
  return fixture.nativeElement as HTMLElement;
}

const noon = demoJobs.find(({ id }) => id === 'demo-noon')!;

describe('the chart of the day', () => {
  it('draws each panel twice, each with a stroke of its own, and names it once', () => {
    const element = chart(noon);
    const curves = [...element.querySelectorAll('.curve')];
    // Two parts and the key.
    expect(curves).toHaveLength(15);
    expect(new Set(curves.slice(0, 5).map((curve) => curve.getAttribute('stroke-dasharray'))).size).toBe(5);
    const names = [...element.querySelectorAll('text')].filter(({ textContent }) => textContent === 'Bonnet');
    expect(names).toHaveLength(1);
  });

  it('crosses out the hours that are too hot, shades those in the shade, and marks the hour of the job', () => {
    const element = chart(noon);
    expect(element.querySelectorAll('.bad').length).toBeGreaterThan(4);
    expect(element.querySelectorAll('.shade')).toHaveLength(
      noon.site.shadeHours.filter((hour) => hour >= 6 && hour < 21).length,
    );
    expect(element.querySelector('.now-text')?.textContent).toBe('13:00');
    const cool = chart({ ...noon, site: { ...noon.site, shade: true, sunWm2: 0, airC: celsius(18), shadeHours: [] } });
    expect(cool.querySelectorAll('.bad')).toHaveLength(0);
  });

  it('speaks in the units that were chosen, for the eye and for the ear', () => {
    expect(chart(noon).querySelector('svg')?.getAttribute('aria-label')).toContain('°C');
    const us = chart(noon, 'us');
    expect(us.querySelector('svg')?.getAttribute('aria-label')).toContain('°F');
    expect(us.textContent).toContain('Panel, °F');
  });
});

describe('cautions', () => {
  it('stand only where they belong, with whom to defer to', () => {
    const fixture = TestBed.createComponent(CautionsComponent);
    fixture.componentRef.setInput('cautions', ['chemicals', 'ladder']);
    fixture.componentRef.setInput('here', ['ladder', 'steam']);
    fixture.detectChanges();
    const element = fixture.nativeElement as HTMLElement;
    expect(element.querySelectorAll('.note')).toHaveLength(1);
    expect(element.textContent).toContain('level ground');
    expect(element.textContent).toContain('Local codes');
    fixture.componentRef.setInput('here', []);
    fixture.detectChanges();
    expect(element.textContent?.trim()).toBe('');
  });
});

describe('the label of a vessel', () => {
  it('says mix, ratio, day and care, and the same in a code', async () => {
    const fixture = TestBed.createComponent(VesselLabelComponent);
    fixture.componentRef.setInput('label', {
      content: 'Pre-soak',
      product: 'Blue',
      ratio: '1 to 50 water',
      vessel: 'Pump',
      date: '2031-07-14',
    });
    fixture.detectChanges();
    const element = fixture.nativeElement as HTMLElement;
    await vi.waitFor(() => {
      fixture.detectChanges();
      expect(element.querySelector('svg')).not.toBeNull();
    });
    expect(element.textContent).toContain('1 to 50 water');
    expect(element.textContent).toContain('Never add another product');
    expect(element.querySelector('svg')?.getAttribute('aria-label')).toContain('mixed 2031-07-14');
    expect(element.querySelector('svg path')?.getAttribute('d')?.length).toBeGreaterThan(500);
  });
});
