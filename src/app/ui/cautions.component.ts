import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Caution } from '@esmero/core';
import { cautionSentence, partsText } from '@esmero/messages';

/** The cautions of a plan that belong to one place: they stand where the hazard is. */
@Component({
  selector: 'esm-cautions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sentence of sentences(); track sentence) {
      <p class="note warn">{{ sentence }}</p>
    }
    @if (sentences().length > 0) {
      <p class="soft">{{ wording.localFirst }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class CautionsComponent {
  protected readonly wording = partsText;
  /** Of the plan. */
  readonly cautions = input.required<readonly Caution[]>();
  /** Those that have their place here. */
  readonly here = input.required<readonly Caution[]>();

  protected readonly sentences = computed(() =>
    this.cautions()
      .filter((caution) => this.here().includes(caution))
      .map((caution) => cautionSentence[caution]),
  );
}
