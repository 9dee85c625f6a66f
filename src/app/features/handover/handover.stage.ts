import {
  ChangeDetectionStrategy,
  Component,
  DOCUMENT,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { Button } from 'primeng/button';
import { addPicture, claimsOf, dropPicture, lastsOf, sign, runStatusOf, usualLeg, notDone } from '@esmero/core';
import type { CleanlinessClass, Job, Leg, PictureTime, Signature } from '@esmero/model';
import {
  capital,
  careAfterwards,
  claimText,
  proofText,
  doneSentences,
  lastsText,
  markText,
  methodName,
  carPart,
  suggestionText,
  verdictSentence,
  zoneName,
  dayAndTime,
  dayText,
  handoverText,
  laterSentence,
  notDoneSentence,
  soldText,
} from '@esmero/messages';
import type { HandoverPaper } from '@esmero/papers';
import { NOW } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { picturesOf } from '../../state/pictures';
import { studyOf } from '../../state/study';
import { LegFieldsComponent } from '../../ui/leg-fields.component';
import { treatmentLooks } from '../../ui/net/looks';
import { CarPictureComponent } from '../../ui/net/car-picture.component';
import { carSvg } from '../../ui/net/car-svg';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { PdfComponent } from '../../ui/pdf.component';
import { PicturePairsComponent, type ShownPicture } from '../../ui/picture-pairs.component';
import { SignaturePadComponent } from '../../ui/signature-pad.component';
import { signatureSvg } from '../../ui/signature-path';
import { StudyBarComponent } from '../../ui/study-bar.component';
import { HalfPanelComponent } from '../../measuring/half-panel.component';
import { type LastsRow, LastsChartComponent } from './lasts-chart.component';

const parts: readonly CleanlinessClass[] = [0, 1, 2, 3, 4, 5];

/** What the client gets with the keys: what was done, what was there before, when to come back. */
@Component({
  selector: 'esm-handover-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CarPictureComponent,
    Button,
    HalfPanelComponent,
    LastsChartComponent,
    LegFieldsComponent,
    PdfComponent,
    PicturePairsComponent,
    SignaturePadComponent,
    StudyBarComponent,
  ],
  templateUrl: './handover.stage.html',
  styleUrl: './handover.stage.css',
})
export class HandoverStage {
  protected readonly wording = handoverText;
  protected readonly dayText = dayText;
  protected readonly soldText = soldText;
  protected readonly desk = inject(JobDesk);
  private readonly document = inject(DOCUMENT);
  private readonly now = inject(NOW);
  private readonly view = inject(ZoneInView);

  /** How the car is used from now on; what the job knows of it until somebody says otherwise. */
  protected readonly usual = linkedSignal<Job | null, Leg>({
    source: this.desk.job,
    computation: (job) => usualLeg(job ?? { since: [] }),
  });
  protected readonly study = studyOf('next-visit', { about: (job) => ({ ...job, since: [this.usual()] }) });

  protected readonly care = careAfterwards;
  protected readonly done = computed(() => {
    const [plan, run] = [this.desk.plan(), this.desk.job()?.run];
    if (!plan || plan.method === 'decline') return [];
    const done = run ? runStatusOf(plan, run).zonesDone : null;
    return doneSentences(
      plan.zones.map((one) => (!done || done.has(one.zone.id) ? one : { ...one, treatment: 'leave' })),
    );
  });
  /** Before the run it is only what will be done. */
  protected readonly title = computed(() =>
    (this.desk.job()?.run?.endedAt ?? null) !== null ? 'What was done' : 'What is to be done',
  );
  protected readonly method = computed(() => methodName[this.desk.plan()?.method ?? 'decline']);
  protected readonly left = computed(() =>
    (this.desk.plan()?.verdicts ?? [])
      .filter(
        ({ code }) =>
          code === 'spots-left' || code === 'bugs-left' || code === 'product-left' || code === 'against-advice',
      )
      .map((verdict) => verdictSentence(verdict, this.desk.units())),
  );
  /** The same before and after: nobody is to find it out alone. */
  protected readonly notDone = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan ? notDone(job, plan).map(notDoneSentence) : [];
  });
  protected readonly marks = computed(() => (this.desk.job()?.marks ?? []).map(markText));
  private readonly kept = picturesOf(computed(() => (this.desk.job()?.pictures ?? []).map(({ photo }) => photo)));
  protected readonly pictures = computed((): readonly ShownPicture[] =>
    (this.desk.job()?.pictures ?? []).map(({ id, when, zone, note, photo }) => ({
      id,
      when,
      url: this.kept.urls()[photo] ?? null,
      says: `${zone ? zoneName(zone) : 'The car'}${note ? `. ${note}` : ''}`,
    })),
  );
  protected readonly problem = signal<string | null>(null);
  protected readonly proves = signal(false);
  protected readonly proofs = computed(() =>
    (this.desk.job()?.proofs ?? []).map(
      ({ zone, marksBefore, marksAfter, doubt }) =>
        `${capital(zoneName(zone))}: ${proofText.kept(marksBefore, marksAfter, doubt)}`,
    ),
  );
  /** Of what was done, by what products say of themselves. */
  protected readonly claims = computed(() => {
    const [job, plan] = [this.desk.job(), this.desk.plan()];
    return job && plan && plan.method !== 'decline' ? claimsOf(job, plan).map(claimText) : [];
  });
  protected readonly later = computed(() => {
    const task = this.desk.plan()?.later;
    const punch = (this.desk.job()?.run?.punch ?? [])
      .filter(({ done }) => !done)
      .map(({ zone, text }) => `${zone ? `${zoneName(zone)}: ` : ''}${text}`);
    return [...(task ? [laterSentence(task, this.desk.units())] : []), ...punch];
  });
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
    return visit
      ? (['waterless', 'rinseless'] as const).map((method) => lastsText(method, visit.car[method], visit.furthestDays))
      : [];
  });

  constructor() {
    inject(NetBoard).use({
      shape: 'page',
      caption: 'The car, unfolded, with what was done to each part',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
    effect(() => {
      if (this.desk.job() && this.usual()) untracked(() => void this.study.ask());
    });
  }

  protected async addPicture({ when, file }: { readonly when: PictureTime; readonly file: File }): Promise<void> {
    const kept = await this.kept.keep(file);
    this.problem.set('problem' in kept ? kept.problem : null);
    if ('key' in kept)
      this.desk.edit(`Picture ${when}`, (job) =>
        addPicture(job, { id: kept.key, when, zone: this.view.current(), note: '', photo: kept.key }),
      );
  }

  protected dropPicture(id: string): void {
    this.desk.edit('Picture taken off', (job) => dropPicture(job, id));
  }

  protected sign(signed: Pick<Signature, 'by' | 'path'> | null): void {
    this.desk.edit(signed ? `Signed by ${signed.by}` : 'Signature cleared', (job) =>
      sign(job, signed && { ...signed, at: this.now() }),
    );
  }

  /** The page as it stands here, for the client's own files. */
  protected readonly paper = (): HandoverPaper => {
    const job = this.desk.job()!;
    const section = (title: string, lines: readonly string[], note?: string) =>
      lines.length > 0 ? [{ title, lines, ...(note ? { note } : {}) }] : [];
    return {
      kind: 'handover',
      title: `For ${job.client || 'the client'}`,
      about: [job.vehicle.name, job.site.name, dayText(job.date), soldText(job)].join(' · '),
      car: carSvg(job.vehicle),
      sections: [
        ...section(`${this.title()}: ${this.method().toLowerCase()}`, [...this.done(), ...this.left()]),
        ...section('What this wash does not do', this.notDone()),
        ...section('Existing marks', this.marks()),
        ...section('Still to be done', this.later()),
        ...section('Until next time', this.care),
        ...section('Protection', this.claims(), this.wording.claimed),
      ],
      pictures: this.pictures().flatMap(({ url, when, says }) => (url ? [{ url, says: `${when}: ${says}` }] : [])),
      next: this.suggestion(),
      nextNote: this.wording.forecast,
      together: this.wording.seenTogether,
      signed: job.signed
        ? { by: `${job.signed.by}, ${dayAndTime(job.signed.at)}`, svg: signatureSvg(job.signed) }
        : null,
      foot: `Esmero · ${job.name}`,
    };
  };

  protected print(): void {
    this.document.defaultView?.print();
  }
}
