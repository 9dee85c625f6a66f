import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { VehicleMethod } from '@esmero/model';

/** Drops for a spray, a pail for the bucket, bubbles over it for shampoo, both for both, a bar for a no: the same marks wherever a method is named. */
@Component({
  selector: 'esm-method-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 24 24"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      stroke-width="1.8"
      stroke-linecap="round"
      stroke-linejoin="round"
    >
      @switch (method()) {
        @case ('waterless') {
          <path d="M12 3.5c3 4 5 6.6 5 9.6a5 5 0 0 1-10 0c0-3 2-5.6 5-9.600z" />
          <path d="M9.7 13.500a2.4 2.4 0 0 0 2 2.3" />
        }
        @case ('rinseless') {
          <path d="M5 8.500h14l-1.6 11.500H6.600z" />
          <path d="M7 8.500a5 5 0 0 1 10 0" />
        }
        @case ('shampoo') {
          <path d="M5 12.5h14l-1.4 8H6.400z" />
          <circle cx="8.5" cy="8.5" r="2.2" />
          <circle cx="14.5" cy="7" r="3" />
        }
        @case ('hybrid') {
          <path d="M3.5 12h11l-1.2 8.500H4.700z" />
          <path d="M5 12a4 4 0 0 1 8 0" />
          <path d="M18.5 3c1.6 2.2 2.7 3.6 2.7 5.200a2.7 2.7 0 0 1-5.4 0c0-1.6 1.1-3 2.7-5.200z" />
        }
        @case ('decline') {
          <circle cx="12" cy="12" r="8.5" />
          <path d="M6.5 17.500l11-11" />
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-grid;
      place-items: center;
      flex: none;
      width: var(--mark, 2.4rem);
      height: var(--mark, 2.4rem);
      border-radius: 28%;
      background: var(--sea-wash);
      color: var(--sea);
    }
    svg {
      width: 68%;
      height: 68%;
    }
    :host([data-method='decline']) {
      background: var(--rust-wash);
      color: var(--rust);
    }
  `,
  host: { '[attr.data-method]': 'method()' },
})
export class MethodMarkComponent {
  readonly method = input.required<VehicleMethod>();
}
