import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import type { ZoneId } from '@esmero/model';
import { zonesOf } from '@esmero/core';
import { deck } from '../../testing/desk';
import { CarNetComponent } from './car-net.component';
import { soilLooks, soilWords, treatmentLooks } from './looks';
import { planJob } from '@esmero/core';

function show() {
  const fixture = TestBed.createComponent(CarNetComponent);
  const zones = zonesOf(deck.vehicle);
  fixture.componentRef.setInput('zones', zones);
  fixture.componentRef.setInput('vehicle', deck.vehicle);
  fixture.componentRef.setInput('looks', soilLooks(zones, deck));
  fixture.detectChanges();
  const pressed: ZoneId[] = [];
  fixture.componentInstance.pressed.subscribe(({ id }) => pressed.push(id));
  const element = fixture.nativeElement as HTMLElement;
  const zone = (id: ZoneId) => element.querySelector<SVGElement>(`[data-zone="${id}"]`)!;
  return { fixture, element, zones, zone, pressed };
}

describe('the net on screen', () => {
  it('draws every zone as a named button, one of them in the Tab order', () => {
    const { element, zones, zone } = show();
    expect(element.querySelectorAll('[role="button"]')).toHaveLength(zones.length);
    expect(element.querySelectorAll('[tabindex="0"]')).toHaveLength(1);
    expect(zone('left-sill').getAttribute('aria-label')).toBe('Left sill: road film 2, light film');
    expect(zone('bonnet').getAttribute('aria-label')).toContain('a few bugs');
  });

  it('is pressed by pointer, by Enter and by Space', () => {
    const { zone, pressed } = show();
    zone('roof').dispatchEvent(new MouseEvent('pointerdown', { button: 0, bubbles: true }));
    zone('bonnet').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    zone('grille').dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    expect(pressed).toEqual(['roof', 'bonnet', 'grille']);
  });

  it('moves by arrows and hands other keys on', () => {
    const { fixture, element, zone } = show();
    document.body.append(element);
    const keys: string[] = [];
    fixture.componentInstance.keyed.subscribe(({ event }) => keys.push(event.key));
    const focused: ZoneId[] = [];
    fixture.componentInstance.focused.subscribe((id) => focused.push(id));
    zone('roof').dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft' }));
    zone('roof').dispatchEvent(new KeyboardEvent('keydown', { key: '3' }));
    expect(focused).toEqual(['windscreen']);
    expect(keys).toEqual(['3']);
  });
});

describe('looks', () => {
  it('tell soil by level, texture and mark, never by colour alone', () => {
    const looks = soilLooks(zonesOf(deck.vehicle), deck);
    expect(looks.get('left-sill')).toMatchObject({ fill: 'soil-2', mark: '2 fi', brief: '' });
    expect(looks.get('bonnet')).toMatchObject({ fill: 'soil-1', brief: '*' });
    expect(soilWords(undefined)).toBe('not looked at');
    expect(soilWords({ deposits: [], spots: {} })).toBe('clean');
  });

  it('tell treatments by letter, and what was fixed by hand', () => {
    const plan = planJob(deck);
    const looks = treatmentLooks(plan.zones, { roof: 'none/rinseless' });
    expect(looks.get('roof')!.says).toContain('fixed by hand');
    for (const look of looks.values()) expect(look.mark).toMatch(/^↓?(W|R|P\+R|×)/);
  });

  it('is brought closer by keys, and is whole again on another side', () => {
    const { fixture, element, zone } = show();
    const transform = (): string | null => element.querySelector('svg > g')!.getAttribute('transform');
    const press = (key: string): void => {
      zone('roof').dispatchEvent(new KeyboardEvent('keydown', { key }));
      fixture.detectChanges();
    };
    expect(transform()).toBeNull();
    press('+');
    expect(transform()).toContain('scale(1.5)');
    press('-');
    expect(transform()).toBeNull();
    press('+');
    fixture.componentRef.setInput('side', 'top');
    fixture.detectChanges();
    expect(transform()).toBeNull();
  });

  it('calls a stroke off when a second finger comes', () => {
    const { fixture, element, zone } = show();
    fixture.componentRef.setInput('paints', true);
    fixture.detectChanges();
    const off: string[] = [];
    const strokes: string[] = [];
    fixture.componentInstance.pressed.subscribe(({ stroke }) => strokes.push(stroke));
    fixture.componentInstance.calledOff.subscribe((stroke) => off.push(stroke));
    zone('roof').dispatchEvent(new MouseEvent('pointerdown', { button: 0, bubbles: true }));
    const touch = Object.assign(new Event('touchstart', { bubbles: true }), { touches: [{}, {}], changedTouches: [] });
    element.querySelector('svg')!.dispatchEvent(touch);
    expect(off).toEqual(strokes);
  });
});
