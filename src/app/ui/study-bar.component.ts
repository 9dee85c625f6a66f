import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Asks a long question, shows how far it is, and lets it be called off. */
@Component({
  selector: 'esm-study-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (share() !== null) {
      <span class="row">
        <progress max="1" [value]="share()" [attr.aria-label]="question()"></progress>
        <button type="button" class="chip" (click)="stop.emit()">Stop</button>
      </span>
    } @else if (failure(); as message) {
      <p class="note stop">That could not be worked out: {{ message }}. Reload the page and ask again.</p>
    } @else {
      <button type="button" class="chip" (click)="ask.emit()">{{ question() }}</button>
    }
  `,
  styles: `
    progress {
      accent-color: var(--sea);
      width: 10rem;
    }
  `,
})
export class StudyBarComponent {
  readonly question = input.required<string>();
  readonly share = input.required<number | null>();
  readonly failure = input.required<string | null>();
  readonly ask = output();
  readonly stop = output();
}
