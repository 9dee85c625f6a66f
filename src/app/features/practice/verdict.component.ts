import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Right or not, and what it was. */
@Component({
  selector: 'esm-verdict',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <i [class]="right() ? 'pi pi-check' : 'pi pi-times'" aria-hidden="true"></i>
    <div><ng-content /></div>
  `,
  styles: `
    :host {
      display: flex;
      gap: 0.6rem;
      align-items: baseline;
      padding: 0.7rem 1rem;
      border-radius: 12px;
      background: var(--ochre-wash);
      color: var(--ink);
    }
    :host(.right) {
      background: var(--sea-wash);
    }
  `,
  host: { role: 'status', class: 'num', '[class.right]': 'right()' },
})
export class VerdictComponent {
  readonly right = input.required<boolean>();
}
