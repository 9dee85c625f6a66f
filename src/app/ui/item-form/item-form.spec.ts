import { TestBed } from '@angular/core/testing';
import { describe, expect, it, vi } from 'vitest';
import { defaultDimensions, newItem } from '@esmero/core';
import { faultsInItem } from '@esmero/exchange';
import { unitsOf } from '@esmero/messages';
import { type LibraryItems, type LibraryKind, libraryKinds } from '@esmero/model';
import { type } from '../../testing/type';
import { type AnyItem, fieldsOf, valueAt } from './fields';
import { ItemFormComponent } from './item-form.component';

async function show(kind: LibraryKind, item: AnyItem, units = unitsOf('metric')) {
  const fixture = TestBed.createComponent(ItemFormComponent);
  const set = (name: string, value: unknown): void => fixture.componentRef.setInput(name, value);
  set('kind', kind);
  set('item', item);
  set('units', units);
  set('rules', async (of: LibraryKind, draft: AnyItem) => faultsInItem(of, draft));
  const told: AnyItem[] = [];
  fixture.componentInstance.changed.subscribe((one) => told.push(one));
  const settle = async (): Promise<void> => {
    for (let turn = 0; turn < 4; turn++) {
      fixture.detectChanges();
      await fixture.whenStable();
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  };
  await settle();
  const element = fixture.nativeElement as HTMLElement;
  const field = (label: string): HTMLInputElement => {
    const found = [...element.querySelectorAll('label')].find(({ textContent }) => textContent === label)!;
    return element.querySelector<HTMLInputElement>(`[id="${found.htmlFor}"]`)!;
  };
  return { element, field, settle, told, set, form: fixture.componentInstance };
}

describe('the form of an item', () => {
  it.each(libraryKinds)('has a field for everything of a %s', (kind) => {
    const item = newItem[kind]('x');
    for (const { path } of fieldsOf[kind]) expect(valueAt(item, path), path).not.toBeUndefined();
  });

  it.each(libraryKinds)('starts a %s that the rules accept', (kind) => {
    expect(faultsInItem(kind, newItem[kind]('x'))).toEqual([]);
  });

  it('reads lengths in the units that it shows', async () => {
    const { field, settle, told } = await show('vehicle', newItem.vehicle('x'), unitsOf('us'));
    type(field('Length'), '170');
    await settle();
    expect(valueAt(told.at(-1), 'dimensions.lengthM')).toBeCloseTo(4.318, 9);
  });

  it('takes an empty reading for none, and money in whole units', async () => {
    const site = await show('site', newItem.site('x'));
    for (const text of ['31', '']) {
      type(site.field('Panels, measured'), text);
      await site.settle();
    }
    expect(site.told.map((draft) => valueAt(draft, 'panelC'))).toEqual([31, null]);
    const product = await show('product', newItem.product('x'));
    type(product.field('Price of the bottle'), '19.5');
    await product.settle();
    expect(valueAt(product.told.at(-1), 'priceMinor')).toBe(1950);
  });

  it('heeds the check of what was typed last, whichever is done last', async () => {
    const { element, field, settle, set } = await show('vehicle', newItem.vehicle('v'));
    // The rules are fetched when they are first asked for: a check from before may come in late.
    const waiting: (() => void)[] = [];
    set(
      'rules',
      (of: LibraryKind, draft: AnyItem) => new Promise((done) => waiting.push(() => done(faultsInItem(of, draft)))),
    );
    await settle();
    type(field('Length'), '4.2');
    type(field('Length'), '40');
    for (const answer of waiting.reverse()) answer();
    await settle();
    expect(element.querySelector('.fault')?.textContent).toContain('from 1.5 to 9 m');
  });

  it('tells of a sound item, and keeps to itself what its document finds wrong', async () => {
    const { element, field, settle, told } = await show('vehicle', newItem.vehicle('v'));
    expect(told).toEqual([]);
    type(field('Length'), '40');
    await settle();
    expect(told).toEqual([]);
    expect(element.querySelector('.fault')?.textContent).toContain('from 1.5 to 9 m');
    type(field('Length'), '4.2');
    await settle();
    expect(told).toHaveLength(1);
    expect((told[0] as LibraryItems['vehicle']).dimensions.lengthM).toBe(4.2);
    expect(element.querySelector('.fault')).toBeNull();
  });

  it('starts another body from its own proportions', async () => {
    const { form, field, settle, told } = await show('vehicle', newItem.vehicle('v'));
    (form as unknown as { form(): { controls: Record<string, { setValue(value: unknown): void }> } })
      .form()
      .controls['body']!.setValue('van');
    await settle();
    await vi.waitFor(() => expect(told).toHaveLength(1));
    expect((told[0] as LibraryItems['vehicle']).dimensions).toEqual(defaultDimensions('van'));
    expect(field('Length').value).toBe(`${defaultDimensions('van').lengthM} m`);
  });

  it('follows what becomes of the item elsewhere, and begins anew with another one', async () => {
    const first = newItem.vehicle('v');
    const { element, field, set, settle, told } = await show('vehicle', first);
    set('item', { ...first, dimensions: { ...first.dimensions, lengthM: 4.4 } });
    await settle();
    expect(field('Length').value).toBe('4.4 m');
    type(field('Length'), '40');
    await settle();
    expect(element.querySelector('.fault')).not.toBeNull();
    set('item', newItem.vehicle('w'));
    await settle();
    expect(element.querySelector('.fault')).toBeNull();
    expect(told).toEqual([]);
  });
});
