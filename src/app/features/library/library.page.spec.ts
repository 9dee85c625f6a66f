import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { deskWith } from '../../testing/desk';
import { LibraryPage } from './library.page';

async function show(kind: string) {
  const desk = await deskWith();
  const fixture = TestBed.createComponent(LibraryPage);
  fixture.componentRef.setInput('kind', kind);
  fixture.detectChanges();
  const element = fixture.nativeElement as HTMLElement;
  const press = async (text: string): Promise<void> => {
    const button = [...element.querySelectorAll('button')].find((b) => b.textContent?.trim().startsWith(text));
    if (!button) throw new Error(`No button ${text}`);
    button.click();
    await desk.settle();
    await desk.settle();
    fixture.detectChanges();
  };
  const type = (label: string, text: string): void => {
    const found = [...element.querySelectorAll('label')].find((one) => one.textContent?.startsWith(label))!;
    const input = element.querySelector<HTMLInputElement>(`[id="${found.htmlFor}"]`)!;
    input.value = text;
    for (const event of ['input', 'change', 'blur']) input.dispatchEvent(new Event(event));
  };
  const kept = async () => (await desk.store.library()).filter((entry) => entry.kind === kind);
  return { ...desk, fixture, element, press, type, kept };
}

describe('the library', () => {
  it('lists what there is with where its figures come from', async () => {
    const { element } = await show('product');
    expect(element.querySelectorAll('.item')).toHaveLength(13);
    expect(element.querySelector('.item')?.textContent).toContain('from the label');
  });

  it('adds, changes, copies, archives and brings back', async () => {
    const { press, type, kept, element, fixture } = await show('vessel');
    const before = (await kept()).length;
    await press('Add a vessel');
    type('Name', 'Little bottle');
    await vi.waitFor(
      async () => expect((await kept()).some(({ item }) => item.name === 'Little bottle')).toBe(true),
      20_000,
    );
    fixture.detectChanges();
    await press('Copy');
    expect(await kept()).toHaveLength(before + 2);
    const [away] = [...element.querySelectorAll('button')].filter((b) => b.textContent?.trim() === 'Archive');
    away!.click();
    await vi.waitFor(async () => expect((await kept()).filter(({ archived }) => archived)).toHaveLength(1), 20_000);
    fixture.detectChanges();
    await press('Archived');
    await press('Little bottle (copy)');
    await press('Bring back');
    expect((await kept()).filter(({ archived }) => archived)).toHaveLength(0);
  });

  it('keeps nothing that the rules refuse, and says where', async () => {
    const { press, type, kept, element, fixture } = await show('vehicle');
    await press('Family estate');
    type('Height', '9');
    await vi.waitFor(() => {
      fixture.detectChanges();
      expect(element.querySelector('.state')?.textContent).toContain('Not saved');
    }, 20_000);
    expect(element.querySelector('.fault')?.textContent).toContain('Should be');
    const family = (await kept()).find(({ item }) => item.id === 'v-family')!;
    expect(family.item).toMatchObject({ dimensions: { heightM: 1.47 } });
  });
});
