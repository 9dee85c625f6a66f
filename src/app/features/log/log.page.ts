import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { type Job, type Run, learn, ratiosOf, usedIn } from '@esmero/core';
import { clock, learnedSentence, lessonName, percent } from '@esmero/messages';
import { shelfFeature } from '../../state/shelf';

interface Row {
  readonly job: Job;
  readonly took: string;
  readonly planned: string;
  readonly against: string;
  /** What is searched, in small letters. */
  readonly text: string;
}

const off = (times: number): string => `${times >= 1 ? '+' : '−'}${percent(Math.abs(times - 1))}`;

/** Less off than this is as planned. */
const NOTICED = 0.02;

function against(run: Run): string {
  const used = usedIn(run);
  if (!used) return 'not counted';
  if (used.doneShare < 1) return `broken off with ${percent(used.doneShare)} done`;
  const differs = ratiosOf(run).filter(([lesson, ratio]) => lesson !== 'minutes' && Math.abs(ratio - 1) > NOTICED);
  return differs.map(([lesson, ratio]) => `${lessonName(lesson)} ${off(ratio)}`).join(', ') || 'as planned';
}

function rowOf(job: Job, run: Run): Row {
  const [used, { startedAt, endedAt }] = [usedIn(run), run];
  return {
    job,
    took: clock(((endedAt ?? startedAt) - startedAt) / 1000),
    planned: used ? clock(used.plannedMin * 60) : '',
    against: against(run),
    text: [job.name, job.client, job.vehicle.name, job.site.name, job.date, job.note].join(' ').toLowerCase(),
  };
}

/** All runs that are over: what was planned and what it took, and what they teach together. */
@Component({
  selector: 'esm-log-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText, RouterLink],
  templateUrl: './log.page.html',
  styleUrl: './log.page.css',
})
export class LogPage {
  private readonly state = inject(State);

  protected readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  private readonly stored = this.state.selectSignal(shelfFeature.selectJobs);
  private readonly runs = computed(() =>
    this.stored().flatMap(({ job }) => (job.run && job.run.endedAt !== null ? [{ job, run: job.run }] : [])),
  );
  private readonly all = computed(() =>
    [...this.runs()].sort((p, q) => q.run.startedAt - p.run.startedAt).map(({ job, run }) => rowOf(job, run)),
  );
  protected readonly wanted = signal('');
  protected readonly rows = computed(() => {
    const words = this.wanted().toLowerCase().split(/\s+/).filter(Boolean);
    return this.all().filter(({ text }) => words.every((word) => text.includes(word)));
  });
  protected readonly count = computed(() => this.all().length);
  protected readonly learned = computed(() => learn(this.runs().map(({ run }) => run)).map(learnedSentence));
}
