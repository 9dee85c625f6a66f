import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** The sides of a folded towel as squares: behind, now as full as it is, and still clean. */
@Component({
  selector: 'esm-towel-sides',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (side of sides(); track side.number) {
      <i [attr.data-state]="side.state" [style.--full]="side.state === 'now' ? full() : null"></i>
    }
  `,
  styles: `
    :host {
      display: flex;
      gap: 0.25rem;
    }
    i {
      width: 1.25rem;
      height: 1.6rem;
      border-radius: 5px;
      border: 2px solid var(--sea);
    }
    i[data-state='now'] {
      background: linear-gradient(to top, #f4b44a var(--full), transparent var(--full));
      border-color: #f4b44a;
    }
    i[data-state='used'] {
      background: var(--line);
      border-color: var(--line);
    }
    i:nth-child(4) {
      margin-right: 0.5rem;
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class TowelSidesComponent {
  readonly fold = input.required<number>();
  /** The sides in question, by number. */
  readonly now = input.required<readonly number[]>();
  /** How full they are, 0 to 1. */
  readonly fullness = input(1);

  protected readonly full = computed(() => `${Math.round(100 * Math.min(1, this.fullness()))}%`);
  protected readonly sides = computed(() => {
    const first = Math.min(...this.now());
    return Array.from({ length: this.fold() }, (_, i) => i + 1).map((number) => ({
      number,
      state: this.now().includes(number) ? 'now' : number < first ? 'used' : 'clean',
    }));
  });
}
