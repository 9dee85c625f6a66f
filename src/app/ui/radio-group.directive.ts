import { type AfterViewChecked, Directive, ElementRef, inject } from '@angular/core';

const steps: Readonly<Record<string, 1 | -1>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/**
 * Makes buttons with the role of radios behave as such: one stop for Tab, arrows choose the next
 * one round. Applies to every radio group of a template that imports it.
 */
@Directive({
  selector: '[role="radiogroup"]',
  host: { '(keydown)': 'key($event)' },
})
export class RadioGroupDirective implements AfterViewChecked {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  ngAfterViewChecked(): void {
    const radios = this.radios();
    const chosen = radios.find((radio) => radio.getAttribute('aria-checked') === 'true') ?? radios[0];
    for (const radio of radios) radio.tabIndex = radio === chosen ? 0 : -1;
  }

  protected key(event: KeyboardEvent): void {
    const step = steps[event.key];
    if (!step || event.ctrlKey || event.altKey || event.metaKey) return;
    const radios = this.radios();
    const now = radios.indexOf(event.target as HTMLElement);
    const next = radios[(now + step + radios.length) % radios.length];
    if (now < 0 || !next) return;
    event.preventDefault();
    next.focus();
    next.click();
  }

  private radios(): HTMLElement[] {
    return [...this.host.nativeElement.querySelectorAll<HTMLElement>('[role="radio"]')];
  }
}
