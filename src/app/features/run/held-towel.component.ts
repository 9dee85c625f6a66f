import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { HandMove } from '@esmero/core';
import { capital, moveText } from '@esmero/messages';
import { TowelSidesComponent } from '../../ui/towel/towel-sides.component';

/** A towel in the hand, its sides as squares: behind, for this pass, and still clean. */
@Component({
  selector: 'esm-held-towel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TowelSidesComponent],
  template: `
    <p>{{ words() }}</p>
    <esm-towel-sides [fold]="fold()" [now]="move().sides" />
  `,
  styles: `
    p {
      margin: 0 0 0.25rem;
      font-size: 1.05rem;
      font-weight: 600;
      line-height: 1.2;
    }
  `,
})
export class HeldTowelComponent {
  readonly move = input.required<HandMove>();
  readonly fold = input.required<number>();

  protected readonly words = computed(() => capital(moveText(this.move())));
}
