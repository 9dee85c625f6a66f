import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Typed, TypedTextDirective } from './typed-text.directive';

@Component({ imports: [TypedTextDirective], template: `<input [esmTyped]="text()" (typed)="hear($event)" />` })
class Field {
  readonly text = signal('');
  readonly heard: Typed[] = [];
  /** Kept tidied, as the job’s fields are. */
  hear(typed: Typed): void {
    this.heard.push(typed);
    this.text.set(typed.text.trim());
  }
}

function show() {
  const fixture = TestBed.createComponent(Field);
  document.body.append(fixture.nativeElement as Node);
  fixture.detectChanges();
  const input = (fixture.nativeElement as HTMLElement).querySelector('input')!;
  input.focus();
  const type = (letters: string, everyMs = 50): void => {
    for (const letter of letters) {
      input.value += letter;
      input.dispatchEvent(new Event('input'));
      vi.advanceTimersByTime(everyMs);
      fixture.detectChanges();
    }
  };
  return {
    fixture,
    input,
    type,
    field: fixture.componentInstance,
    texts: () => fixture.componentInstance.heard.map(({ text }) => text),
  };
}

describe('a text field that is kept while it is typed', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('is kept within 300 ms of a letter, without being left', () => {
    const { type, texts } = show();
    type('Quay');
    expect(texts()).toEqual([]);
    vi.advanceTimersByTime(300);
    expect(texts()).toEqual(['Quay']);
  });

  it('is one step for undo as long as a word, and another after a blank or a pause', () => {
    const { type, field } = show();
    type('Harbour office', 40);
    vi.advanceTimersByTime(300);
    const strokes = new Map(field.heard.map(({ text, stroke }) => [stroke, text]));
    expect([...strokes.values()].map((text) => text.trim())).toEqual(['Harbour', 'Harbour office']);
    vi.advanceTimersByTime(2000);
    type('s');
    vi.advanceTimersByTime(300);
    expect(new Set(field.heard.map(({ stroke }) => stroke)).size).toBe(3);
  });

  it('does not take a blank out from under the hands, and is tidy when it is left', () => {
    const { type, input, fixture } = show();
    type('Harbour ');
    vi.advanceTimersByTime(400);
    fixture.detectChanges();
    expect(input.value).toBe('Harbour ');
    input.dispatchEvent(new Event('blur'));
    expect(input.value).toBe('Harbour');
  });

  it.each(['pagehide', 'beforeunload'])('is kept at once on %s', (event) => {
    const { type, texts } = show();
    type('Last wor', 1);
    window.dispatchEvent(new Event(event));
    expect(texts().at(-1)).toBe('Last wor');
  });

  it('shows what comes from elsewhere, but not over what is being typed', () => {
    const { type, input, field, fixture } = show();
    field.text.set('From the other tab');
    fixture.detectChanges();
    expect(input.value).toBe('From the other tab');
    type('!', 1);
    field.text.set('Changed once more');
    fixture.detectChanges();
    expect(input.value).toBe('From the other tab!');
  });
});
