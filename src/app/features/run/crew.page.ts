import {
  ChangeDetectionStrategy,
  Component,
  DOCUMENT,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Button } from 'primeng/button';
import { zonesOf } from '@esmero/core';
import { isTick } from '@esmero/model';
import { crewText, dayText } from '@esmero/messages';
import { CrewDesk } from '../../state/crew-desk';

/** Where the link of another phone leads: shows what it shares, and opens the run once that is taken. */
@Component({
  selector: 'esm-crew-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, RouterLink],
  template: `
    <div class="page stack">
      <h1>{{ wording.joining(code()) }}</h1>
      @if (isKeyless()) {
        <p class="note stop" role="alert">{{ wording.noKey }}</p>
        <a routerLink="/jobs">To the jobs</a>
      } @else if (offer(); as offer) {
        <p role="status">{{ wording.offered }}</p>
        <section class="card" data-offer>
          <h2>{{ offer.name }}</h2>
          @for (line of offer.lines; track line) {
            <p class="num">{{ line }}</p>
          }
        </section>
        <p class="soft">{{ offer.says }}</p>
        <div class="row">
          <p-button label="Take it" icon="pi pi-check" size="large" (onClick)="take()" />
          <p-button label="No, leave" size="large" severity="secondary" [outlined]="true" (onClick)="decline()" />
        </div>
      } @else {
        <p role="status">{{ wording.state[desk.state()] }}</p>
        <p class="soft">{{ wording.joiningHow }}</p>
        <a routerLink="/jobs">To the jobs</a>
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 40rem;
      margin: 0 auto;
      padding: 1rem;
    }
    .card {
      padding: 0.8rem 1rem;
      border: 1px solid var(--line);
      border-radius: 12px;
      overflow-wrap: anywhere;
    }
    .card h2,
    .card p {
      margin: 0.2rem 0;
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
  protected readonly offer = computed(() => {
    const offer = this.desk.offer();
    if (!offer) return null;
    const { job, share, isHere } = offer;
    const ticked = (share?.events ?? job.run?.events ?? []).filter((event) => isTick(event)).length;
    const lines = [
      [job.client, dayText(job.date)].filter(Boolean).join(', '),
      job.vehicle.name,
      crewText.offeredParts(zonesOf(job.vehicle).length, ticked),
    ];
    return { name: job.name, lines: lines.filter(Boolean), says: isHere ? crewText.isHere : crewText.isNew };
  });

  constructor() {
    effect(() => {
      const code = this.code();
      if (!this.isKeyless()) untracked(() => void this.desk.join(code, this.hash.slice(1)));
    });
    effect(() => {
      const jobId = this.desk.jobId();
      if (jobId !== null && this.desk.code() === this.code())
        untracked(() => void this.router.navigate(['/job', jobId, 'run'], { replaceUrl: true }));
    });
  }

  protected take(): void {
    void this.desk.take();
  }

  protected decline(): void {
    this.desk.leave();
    void this.router.navigate(['/jobs']);
  }
}
