import { Component, ErrorHandler, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { InTurnDirective } from './in-turn.directive';

@Component({
  imports: [InTurnDirective],
  template: `
    <b>first</b>
    @for (part of parts(); track part) {
      <i *esmInTurn>{{ draw(part) }}</i>
    }
  `,
})
class PageComponent {
  readonly parts = signal(['one', 'two', 'three']);
  readonly drawn: string[] = [];

  draw(part: string): string {
    if (part === 'broken') throw new Error('cannot be drawn');
    this.drawn.push(part);
    return part;
  }
}

describe('a part of a page in its turn', () => {
  const shown = (page: HTMLElement): string => [...page.children].map(({ textContent }) => textContent).join(' ');
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('comes after what stands before it, and in order', () => {
    const fixture = TestBed.createComponent(PageComponent);
    fixture.detectChanges();
    expect(shown(fixture.nativeElement)).toBe('first');
    vi.runAllTimers();
    expect(shown(fixture.nativeElement)).toBe('first one two three');
  });

  it('leaves the browser room to answer once its time is over', () => {
    const fixture = TestBed.createComponent(PageComponent);
    const clock = vi.spyOn(performance, 'now');
    let now = 0;
    clock.mockImplementation(() => (now += 20));
    fixture.detectChanges();
    vi.runOnlyPendingTimers();
    const after = fixture.componentInstance.drawn.length;
    expect(after).toBeGreaterThan(0);
    expect(after).toBeLessThan(3);
    vi.runAllTimers();
    expect(shown(fixture.nativeElement)).toBe('first one two three');
    clock.mockRestore();
  });

  it('that fails is told of, left out, and holds up none of those after it', () => {
    const told = vi.fn();
    TestBed.overrideProvider(ErrorHandler, { useValue: { handleError: told } });
    const fixture = TestBed.createComponent(PageComponent);
    fixture.componentInstance.parts.set(['one', 'broken', 'three']);
    fixture.detectChanges();
    vi.runAllTimers();
    expect(shown(fixture.nativeElement)).toBe('first one three');
    expect(told).toHaveBeenCalledOnce();
  });

  it('that is gone before its turn is not drawn', () => {
    const fixture = TestBed.createComponent(PageComponent);
    fixture.detectChanges();
    fixture.destroy();
    vi.runAllTimers();
    expect(fixture.componentInstance.drawn).toEqual([]);
  });
});
