import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { Tab, TabList, TabPanel, TabPanels, Tabs } from 'primeng/tabs';
import { afterwards, liquidOf, setChoices, withChange } from '@esmero/core';
import { type BucketSystem, type Job, type SoakedTowelHabit, type TowelBatch, habitAnswers } from '@esmero/model';
import { afterSentences, bucketName, mixTitle, verdictSentence, towelsText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { treatmentLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ChoiceComponent } from '../../ui/choice.component';
import { LiquidBarComponent } from '../../ui/liquid-bar.component';
import { BucketsComponent } from './buckets.component';
import { CarryComponent } from './carry.component';
import { PileComponent } from './pile.component';
import { SideMeterComponent } from '../../measuring/side-meter.component';

/** Every towel with its sides, and the buckets. */
@Component({
  selector: 'esm-towels-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BucketsComponent,
    Button,
    CarryComponent,
    ChoiceComponent,
    LiquidBarComponent,
    PileComponent,
    SideMeterComponent,
    Tab,
    TabList,
    TabPanel,
    TabPanels,
    Tabs,
  ],
  templateUrl: './towels.stage.html',
  styleUrl: './towels.stage.css',
})
export class TowelsStage {
  protected readonly wording = towelsText;
  protected readonly desk = inject(JobDesk);
  protected readonly meters = signal(false);

  protected readonly systems = habitAnswers.bucket.map((value) => ({ value, label: bucketName[value] }));
  protected readonly sides = [
    { value: 4, label: 'Four sides, then a new one' },
    { value: 8, label: 'All eight, re-wetted from a cup' },
  ] as const;
  protected readonly damp: readonly { readonly value: SoakedTowelHabit; readonly label: string }[] = [
    { value: 'demote', label: towelsText.demoted },
    { value: 'retire', label: 'Done for today' },
  ];

  protected readonly towels = computed(() => this.desk.plan()?.towels ?? []);
  protected readonly missing = computed(() => this.towels().filter(({ missing }) => missing).length);
  protected readonly people = computed(() => new Set(this.towels().map(({ worker }) => worker)).size);
  protected readonly buckets = computed(() =>
    (this.desk.plan()?.mix.mixes ?? [])
      .filter(({ vessel }) => vessel.kind === 'bucket')
      .map((mix) => ({
        name: mix.vessel.name,
        content: mixTitle(mix),
        volume: this.desk.units().volume(mix.fills.reduce((sum, { totalMl }) => sum + totalMl, 0)),
      })),
  );

  /** What there is to do when the car is done, in sentences. */
  protected readonly after = computed(() => {
    const [job, plan, u] = [this.desk.job(), this.desk.plan(), this.desk.units()];
    if (!job || !plan || plan.method === 'decline') return null;
    return afterSentences(afterwards(job, plan), u);
  });

  constructor() {
    inject(NetBoard).use({
      shape: 'instrument',
      caption: 'The car, unfolded; panels of the towel side in hand are lit',
      looks: computed(() => treatmentLooks(this.desk.zonePlans().values(), this.desk.job()?.choices.fixed ?? {})),
      paints: false,
      press: () => undefined,
    });
  }

  /** Zones without which the rest could be done. */
  private readonly wait = computed(() => this.desk.plan()?.verdicts.find(({ code }) => code === 'zones-wait') ?? null);
  protected readonly waiting = computed(() => {
    const wait = this.wait();
    return wait?.code === 'zones-wait' ? wait.zones : [];
  });
  protected readonly waitingText = computed(() => {
    const wait = this.wait();
    return wait ? verdictSentence(wait, this.desk.units()) : '';
  });
  protected readonly liquid = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? liquidOf(plan) : null;
  });

  protected letWait(): void {
    this.desk.edit('The rest is done, these wait', (job) => withChange(job, { code: 'leave', zones: this.waiting() }));
  }

  protected count(batch: TowelBatch, clean: number): void {
    if (clean === batch.clean) return;
    this.desk.edit(`${batch.name}: ${clean} clean`, (job: Job) => ({
      ...job,
      towels: job.towels.map((one) => (one.id === batch.id ? { ...one, clean } : one)),
    }));
  }

  protected useBucket(bucket: BucketSystem): void {
    this.desk.edit(bucketName[bucket], (job) => setChoices(job, { bucket }));
  }

  protected soakedSides(soakedSides: 4 | 8): void {
    this.desk.edit(`${soakedSides} sides of a pre-soaked towel`, (job) => setChoices(job, { soakedSides }));
  }

  protected soakedTowel(soakedTowel: SoakedTowelHabit): void {
    this.desk.edit(soakedTowel === 'demote' ? 'Damp towels go down' : 'Damp towels are done for today', (job) =>
      setChoices(job, { soakedTowel }),
    );
  }
}
