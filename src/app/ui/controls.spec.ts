import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { describe, expect, it, vi } from 'vitest';
import { bounds } from '@esmero/model';
import { unitsOf } from '@esmero/messages';
import { type } from '../testing/type';
import { ChoiceComponent } from './choice.component';
import { DayFieldComponent } from './day-field.component';
import { NumberComponent } from './number.component';

@Component({
  imports: [ChoiceComponent, DayFieldComponent, NumberComponent, ReactiveFormsModule],
  template: `
    <esm-number inputId="water" [as]="us.edit.water" [bounds]="bounds.waterL" [formControl]="water" />
    <esm-day-field inputId="day" [formControl]="day" />
    <esm-choice label="Pick" [options]="options" [formControl]="pick" />
  `,
})
class FormComponent {
  readonly us = unitsOf('us');
  readonly bounds = bounds;
  readonly water = new FormControl<number | null>(37.854118);
  readonly day = new FormControl<string | null>('2031-07-14');
  readonly pick = new FormControl<'a' | 'b'>('a');
  readonly options = [
    { value: 'a', label: 'First' },
    { value: 'b', label: 'Second' },
  ] as const;
}

async function show() {
  const fixture = TestBed.createComponent(FormComponent);
  // Values go down to the fields of the library one turn later.
  for (let turn = 0; turn < 3; turn++) {
    fixture.detectChanges();
    await fixture.whenStable();
  }
  const element = fixture.nativeElement as HTMLElement;
  return {
    fixture,
    element,
    form: fixture.componentInstance,
    water: element.querySelector<HTMLInputElement>('#water')!,
  };
}

describe('fields of ours in a reactive form', () => {
  it('show what is kept in the units of the reader, and keep what is typed in their own', async () => {
    const { form, water } = await show();
    expect(water.value).toBe('10 gal');
    type(water, '20');
    expect(form.water.value).toBeCloseTo(75.7082, 4);
    expect(form.water.valid).toBe(true);
  });

  it('say what a figure should be, and tell nobody of one that is not', async () => {
    const { fixture, element, form, water } = await show();
    type(water, '2000');
    fixture.detectChanges();
    expect(element.querySelector('.fault')?.textContent).toBe('Should be a number from 0 to 1321 gal.');
    expect(form.water.value).toBeCloseTo(37.854118, 6);
    type(water, '30');
    fixture.detectChanges();
    expect(element.querySelector('.fault')).toBeNull();
  });

  it('are invalid with a value from elsewhere that is out of bounds', async () => {
    const { fixture, form } = await show();
    form.water.setValue(9000);
    fixture.detectChanges();
    expect(form.water.errors).toEqual({ bounds: true });
  });

  it('take a choice and a day from the form, and can be switched off', async () => {
    const { fixture, element, form } = await show();
    const [first, second] = [...element.querySelectorAll<HTMLElement>('esm-choice [role=button], esm-choice button')];
    expect(first!.getAttribute('aria-pressed')).toBe('true');
    second!.click();
    expect(form.pick.value).toBe('b');
    await vi.waitFor(() => expect(element.querySelector<HTMLInputElement>('#day')?.value).toBe('14 Jul 2031'));
    form.water.disable();
    fixture.detectChanges();
    await fixture.whenStable();
    fixture.detectChanges();
    expect(element.querySelector<HTMLInputElement>('#water')!.disabled).toBe(true);
  });
});
