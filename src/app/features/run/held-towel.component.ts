import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { HandMove } from '@esmero/core';
import { capital, moveText } from '@esmero/messages';

/** A towel in the hand, its sides as squares: behind, for this pass, and still clean. */
@Component({
  selector: 'esm-held-towel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>{{ words() }}</p>
    <div class="sides" aria-hidden="true">
      @for (side of sides(); track side.number) {
        <i [attr.data-state]="side.state"></i>
      }
    </div>
  `,
  styles: `
    p {
      margin: 0 0 0.25rem;
      font-size: 1.05rem;
      font-weight: 600;
      line-height: 1.2;
    }
    .sides {
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
      background: #f4b44a;
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
})
export class HeldTowelComponent {
  readonly move = input.required<HandMove>();
  readonly fold = input.required<number>();

  protected readonly words = computed(() => capital(moveText(this.move())));
  protected readonly sides = computed(() => {
    const { sides } = this.move();
    const first = Math.min(...sides);
    return Array.from({ length: this.fold() }, (_, i) => i + 1).map((number) => ({
      number,
      state: sides.includes(number) ? 'now' : number < first ? 'used' : 'clean',
    }));
  });
}
