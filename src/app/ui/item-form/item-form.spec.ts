import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { newItem } from '@esmero/core';
import { type LibraryKind, libraryKinds } from '@esmero/model';
import { unitsOf } from '@esmero/messages';
import { faultsInItem } from '@esmero/exchange';
import { type AnyItem, fieldsOf, valueAt, withValue } from './fields';
import { ItemFormComponent } from './item-form.component';

function show(kind: LibraryKind, units = unitsOf('metric')) {
  const fixture = TestBed.createComponent(ItemFormComponent);
  fixture.componentRef.setInput('kind', kind);
  fixture.componentRef.setInput('item', newItem[kind]('x'));
  fixture.componentRef.setInput('units', units);
  fixture.detectChanges();
  const drafts: AnyItem[] = [];
  fixture.componentInstance.changed.subscribe((draft) => drafts.push(draft));
  const element = fixture.nativeElement as HTMLElement;
  const type = async (label: string, text: string): Promise<void> => {
    await fixture.whenStable();
    const found = [...element.querySelectorAll('label')].find((one) => one.textContent?.startsWith(label));
    const input = element.querySelector<HTMLInputElement>(`[id="${found?.htmlFor}"]`)!;
    input.value = text;
    // A number is told once its field is left.
    input.dispatchEvent(new Event('blur'));
    fixture.detectChanges();
  };
  return { fixture, element, drafts, type };
}

describe('the form', () => {
  it.each(libraryKinds)('has a field for everything of a %s', (kind) => {
    const item = newItem[kind]('x');
    for (const { path } of fieldsOf[kind]) expect(valueAt(item, path), path).not.toBeUndefined();
  });

  it.each(libraryKinds)('starts a %s that the rules accept', async (kind) => {
    expect(faultsInItem(kind, newItem[kind]('x'))).toEqual([]);
  });

  it('reads lengths in the units that it shows', async () => {
    const { drafts, type } = show('vehicle', unitsOf('us'));
    await type('Length', '100');
    expect(valueAt(drafts.at(-1), 'dimensions.lengthM')).toBeCloseTo(2.54, 9);
  });

  it('takes an empty reading for none, and money in whole units', async () => {
    const site = show('site');
    await site.type('Panels', '31');
    await site.type('Panels', '');
    expect(site.drafts.map((draft) => valueAt(draft, 'panelC'))).toEqual([31, null]);
    const product = show('product');
    await product.type('Price', '19.5');
    expect(valueAt(product.drafts.at(-1), 'priceMinor')).toBe(1950);
  });

  it('shows a fault beside its field', async () => {
    const { fixture, element } = show('vehicle');
    const faults = faultsInItem('vehicle', withValue(newItem.vehicle('x'), 'dimensions.lengthM', -1));
    fixture.componentRef.setInput('faults', faults);
    fixture.detectChanges();
    expect(element.querySelector('.fault')?.textContent).toContain('a number from 1.5 to 9');
  });
});
