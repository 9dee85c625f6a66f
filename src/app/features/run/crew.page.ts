import { ChangeDetectionStrategy, Component, DOCUMENT, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { crewText } from '@esmero/messages';
import { CrewDesk } from '../../state/crew-desk';

/** Where the link of another phone leads: joins its car, and opens the run. */
@Component({
  selector: 'esm-crew-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <div class="page">
      <h1>{{ wording.joining(code()) }}</h1>
      @if (isKeyless()) {
        <p class="note stop" role="alert">{{ wording.noKey }}</p>
      } @else {
        <p role="status">{{ wording.state[desk.state()] }}</p>
        <p class="soft">{{ wording.joiningHow }}</p>
      }
      <a routerLink="/jobs">To the jobs</a>
    </div>
  `,
  styles: `
    .page {
      max-width: 40rem;
      margin: 0 auto;
      padding: 1rem;
    }
  `,
})
export class CrewPage {
  readonly code = input.required<string>();

  protected readonly wording = crewText;
  protected readonly desk = inject(CrewDesk);
  private readonly router = inject(Router);
  private readonly hash = inject(DOCUMENT).defaultView!.location.hash;
  protected readonly isKeyless = signal(this.hash.length < 2);

  constructor() {
    effect(() => {
      const code = this.code();
      if (!this.isKeyless()) untracked(() => void this.join(code));
    });
  }

  private async join(code: string): Promise<void> {
    const jobId = await this.desk.join(code, this.hash.slice(1));
    await this.router.navigate(['/job', jobId, 'run'], { replaceUrl: true });
  }
}
