import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { expect, it } from 'vitest';
import { RadioGroupDirective } from './radio-group.directive';

@Component({
  selector: 'esm-host',
  imports: [RadioGroupDirective],
  template: `
    <div role="radiogroup" aria-label="Fruit">
      @for (one of fruit; track one) {
        <button type="button" role="radio" [attr.aria-checked]="chosen() === one" (click)="chosen.set(one)">{{ one }}</button>
      }
    </div>
  `,
})
class HostComponent {
  readonly fruit = ['fig', 'pear', 'plum'];
  readonly chosen = signal('pear');
}

it('is one stop for Tab, and arrows choose round and round', async () => {
  const fixture = TestBed.createComponent(HostComponent);
  const element = fixture.nativeElement as HTMLElement;
  document.body.append(element);
  await fixture.whenStable();
  const radios = [...element.querySelectorAll('button')];
  expect(radios.map(({ tabIndex }) => tabIndex)).toEqual([-1, 0, -1]);
  const press = async (key: string): Promise<void> => {
    (document.activeElement ?? radios[1]!).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await fixture.whenStable();
  };
  radios[1]!.focus();
  await press('ArrowRight');
  expect(fixture.componentInstance.chosen()).toBe('plum');
  await press('ArrowDown');
  expect(fixture.componentInstance.chosen()).toBe('fig');
  await press('ArrowLeft');
  expect(fixture.componentInstance.chosen()).toBe('plum');
  expect(radios.map(({ tabIndex }) => tabIndex)).toEqual([-1, -1, 0]);
  await press('x');
  expect(fixture.componentInstance.chosen()).toBe('plum');
});
