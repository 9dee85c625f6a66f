import { ChangeDetectionStrategy, Component, DOCUMENT, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { Button } from 'primeng/button';
import { type CleanlinessClass, type Job, type Leg, lastsOf, standingOf, usualLeg } from '@esmero/core';
import { careAfterwards, doneSentences, lastsText, markName, methodName, carPart, suggestionText, verdictSentence, zoneName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { LegFieldsComponent } from '../../ui/leg-fields.component';
import { treatmentLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { StudyBarComponent } from '../../ui/study-bar.component';
import { type LastsRow, LastsChartComponent } from './lasts-chart.component';

const parts: readonly CleanlinessClass[] = [0, 1, 2, 3, 4, 5];

/** What the client gets with the keys: what was done, what was there before, when to come back. */
@Component({
  selector: 'esm-handover-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, LastsChartComponent, LegFieldsComponent, StudyBarComponent],
  templateUrl: './handover.stage.html',
  styleUrl: './handover.stage.css',
})
export class HandoverStage {
  protected readonly desk = inject(JobDesk);
  private readonly document = inject(DOCUMENT);

  /** How the car is used from now on; what the job knows of it until somebody says otherwise. */
  protected readonly usual = linkedSignal<Job | null, Leg>({ source: this.desk.job, computation: (job) => usualLeg(job ?? { since: [] }) });
  protected readonly study = studyOf('next-visit', (job) => ({ ...job, since: [this.usual()] }));

  protected readonly care = careAfterwards;
  protected readonly done = computed(() => {
    const [plan, run] = [this.desk.plan(), this.desk.job()?.run];
    if (!plan || plan.method === 'decline') return [];
    const done = run ? standingOf(plan, run).zonesDone : null;
    return doneSentences(plan.zones.map((one) => (!done || done.has(one.zone.id) ? one : { ...one, treatment: 'leave' })));
  });
  /** Before the run it is only what will be done. */
  protected readonly title = computed(() => ((this.desk.job()?.run?.endedAt ?? null) !== null ? 'What was done' : 'What is to be done'));
  protected readonly method = computed(() => methodName[this.desk.plan()?.method ?? 'decline']);
  protected readonly left = computed(() =>
    (this.desk.plan()?.verdicts ?? [])
      .filter(({ code }) => code === 'spots-left' || code === 'against-advice')
      .map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  protected readonly marks = computed(() =>
    (this.desk.job()?.marks ?? []).map(({ zone, kind, note }) => `${zoneName(zone)}: ${markName[kind]}${note ? `. ${note}` : ''}`),
  );
  protected readonly suggestion = computed(() => {
    const [visit, job] = [this.study.answer(), this.desk.job()];
    return visit && job ? suggestionText(visit, job.date) : '';
  });
  protected readonly rows = computed((): readonly LastsRow[] => {
    const visit = this.study.answer();
    if (!visit) return [];
    const of = (one: CleanlinessClass) => visit.zones.filter(({ cleanliness }) => cleanliness === one);
    return [
      { name: 'Whole car', lasts: visit.car },
      ...parts.filter((one) => of(one).length > 0).map((one) => ({ name: carPart[one], lasts: lastsOf(of(one)) })),
    ];
  });
  protected readonly lasts = computed(() => {
    const visit = this.study.answer();
    return visit ? (['waterless', 'rinseless'] as const).map((method) => lastsText(method, visit.car[method], visit.furthestDays)) : [];
  });

  constructor() {
    inject(NetBoard).use({
      caption: 'The car, unfolded, with what was done to each part',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
    effect(() => {
      if (this.desk.job() && this.usual()) untracked(() => void this.study.ask());
    });
  }

  protected print(): void {
    this.document.defaultView?.print();
  }
}
