import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, linkedSignal, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { compareBuckets, crossingsOf, runBuckets } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { crossingSentence, dipSentence, grams, spreadSentence, zoneName, towelsText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { BucketChartComponent } from '../../ui/bucket/bucket-chart.component';
import { BucketSectionComponent } from '../../ui/bucket/bucket-section.component';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { PlayBarComponent } from '../../ui/play-bar.component';
import { StudyBarComponent } from '../../ui/study-bar.component';

/** The buckets played through the wash, and every way of working beside the job's own. */
@Component({
  selector: 'esm-buckets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, BucketChartComponent, BucketSectionComponent, PlayBarComponent, StudyBarComponent],
  template: `
    @if (dip(); as dip) {
      <esm-bucket-section [dip]="dip" [guarded]="own()!.system !== 'many-towels'" />
      <esm-play-bar label="Through the wash" what="Dip" [last]="last()" [at]="at()" (atChange)="jump($event)" />
      <p class="said num">{{ says() }}</p>
      @if (due(); as zone) {
        <p>
          {{ wording.freshDue(name(zone)) }}
          <button pButton type="button" severity="secondary" outlined (click)="change(zone)">Try it there</button>
        </p>
      }
      @if (fresh().length > 0) {
        <p>
          {{ wording.withFresh(changed(), weigh(own()!.run.carriedG), weigh(unchanged())) }}
          <button pButton type="button" severity="secondary" outlined (click)="fresh.set([])">As before</button>
        </p>
      }
      <h4>Every way, the same wash</h4>
      <esm-bucket-chart [runs]="runs()" [own]="own()!" />
      @for (crossing of crossings(); track $index) {
        <p>{{ crossing }}</p>
      }
      @if (study.answer(); as answer) {
        <ul class="num">
          @for (one of answer; track $index) {
            <li>{{ spread(one) }}</li>
          }
        </ul>
        <p class="soft">{{ wording.draws }}</p>
      } @else {
        <esm-study-bar
          question="How sure is that?"
          [share]="study.share()"
          [failure]="study.failure()"
          (ask)="study.ask()"
          (stop)="study.stop()"
        />
      }
      <p class="note">{{ wording.simulation }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    esm-study-bar {
      display: block;
      margin-bottom: 0.6rem;
    }
    .said {
      min-height: 3em;
      border-left: 4px solid var(--line);
      padding-left: 0.6rem;
    }
  `,
})
export class BucketsComponent {
  protected readonly wording = towelsText;
  private readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  protected readonly study = studyOf('bucket-comparison');
  protected readonly name = zoneName;
  protected readonly weigh = grams;
  protected readonly spread = spreadSentence;
  private readonly both = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan ? { job, plan } : null;
  });
  /** Zones before which the water is changed, to see what it is worth. */
  protected readonly fresh = linkedSignal<unknown, readonly ZoneId[]>({
    source: () => this.desk.job(),
    computation: () => [],
  });
  protected readonly own = computed(() => {
    const both = this.both();
    return both && runBuckets(both.job, both.plan, this.fresh());
  });
  protected readonly runs = computed(() => {
    const both = this.both();
    return both ? compareBuckets(both.job, both.plan) : [];
  });
  protected readonly crossings = computed(() => crossingsOf(this.runs()).map(crossingSentence));
  protected readonly unchanged = computed(() => {
    const own = this.own();
    return this.runs().find(({ system, guards }) => system === own?.system && guards === own.guards)?.run.carriedG ?? 0;
  });
  protected readonly changed = computed(() => this.fresh().map(zoneName).join(' and '));
  protected readonly due = computed(() => {
    const own = this.own();
    const due = own?.run.freshDue ?? null;
    const hasRinse = own?.system === 'two-buckets' || own?.system === 'three-buckets';
    return hasRinse && due && !this.fresh().includes(due) ? due : null;
  });

  private readonly dips = computed(() => this.own()?.run.dips ?? []);
  protected readonly last = computed(() => Math.max(0, this.dips().length - 1));
  private readonly wanted = signal(0);
  protected readonly at = computed(() => Math.min(this.wanted(), this.last()));
  protected readonly dip = computed(() => this.dips()[this.at()]);
  protected readonly says = computed(() => {
    const dip = this.dip();
    return dip ? dipSentence(dip, this.at() + 1, this.dips().length) : '';
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.view.light([]));
  }

  protected jump(at: number): void {
    this.wanted.set(at);
    const dip = this.dip();
    this.view.light(dip ? [dip.zoneId] : []);
  }

  protected change(zone: ZoneId): void {
    this.fresh.update((zones) => [...zones, zone]);
  }
}
