import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import { partsText } from '@esmero/messages';
import { ProgressComponent } from './progress.component';

/** Asks a long question, shows how far it is, and lets it be called off. */
@Component({
  selector: 'esm-study-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ProgressComponent],
  template: `
    @if (share() !== null) {
      <span class="row">
        <esm-progress [percent]="percent()" [label]="question()" />
        <p-button label="Stop" severity="secondary" [outlined]="true" (onClick)="stop.emit()" />
      </span>
    } @else if (failure(); as message) {
      <p class="note stop">{{ wording.failed(message) }}</p>
    } @else {
      <p-button [label]="question()" severity="secondary" [outlined]="true" (onClick)="ask.emit()" />
    }
  `,
  styles: `
    esm-progress {
      width: 10rem;
    }
  `,
})
export class StudyBarComponent {
  protected readonly wording = partsText;
  readonly question = input.required<string>();
  readonly share = input.required<number | null>();
  readonly failure = input.required<string | null>();
  readonly ask = output();
  readonly stop = output();

  protected readonly percent = computed(() => Math.round((this.share() ?? 0) * 100));
}
