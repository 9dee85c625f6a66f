import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Button } from 'primeng/button';
import { partsText } from '@esmero/messages';

/** What is shown while something is fetched, and where that failed: why, and a way to try again. */
@Component({
  selector: 'esm-fetching',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    @if (fault(); as why) {
      <div class="note stop" role="alert">
        <p>{{ wording.unread(why) }}</p>
        <p-button label="Try again" size="small" (onClick)="again.emit()" />
      </div>
    } @else {
      <p role="status">{{ wording.fetching }}</p>
    }
  `,
})
export class FetchingComponent {
  /** Why it could not be fetched. */
  readonly fault = input.required<string | null>();
  readonly again = output();
  protected readonly wording = partsText;
}
