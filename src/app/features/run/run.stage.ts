import { ChangeDetectionStrategy, Component, DOCUMENT, computed, effect, inject } from '@angular/core';
import { type Hand, type Job, type RunEvent, dropRun, endRun, noteEvent, standingOf, startRun, takeBackEvent, towelRoles } from '@esmero/core';
import { cautionSentence, clock, clocksText, contentName, handName, liquidFor, markName, mixSentences, roleName, taskText, towelsFor, zoneName } from '@esmero/messages';
import { NOW, ticking } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { runLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { staysAwake } from './awake';
import { ChangedComponent } from './changed.component';
import { UseFormComponent } from './use-form.component';

const BUZZ_MS = 200;

/** Beside the car, with wet hands: one thing at a time in large letters, its clocks, and one large button. */
@Component({
  selector: 'esm-run-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChangedComponent, UseFormComponent],
  templateUrl: './run.stage.html',
  styleUrl: './run.stage.css',
  host: { '(document:keydown)': 'key($event)' },
})
export class RunStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  private readonly now = inject(NOW);
  private readonly document = inject(DOCUMENT);
  private readonly time = ticking();

  private readonly planned = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? plan : null;
  });
  protected readonly possible = computed(() => this.planned() !== null);
  protected readonly run = computed(() => this.desk.job()?.run ?? null);
  private readonly standing = computed(() => {
    const [plan, run] = [this.planned(), this.run()];
    return plan && run ? standingOf(plan, run) : null;
  });

  /** To be seen to before anything is wetted. */
  protected readonly setUp = computed(() => {
    const [plan, job, u] = [this.planned(), this.desk.job(), this.desk.units()];
    if (!plan || !job) return [];
    const count = (role: (typeof towelRoles)[number]): number => plan.towels.filter((towel) => towel.role === role).length;
    const counted = towelRoles.filter((role) => count(role) > 0).map((role) => `${count(role)} ${roleName[role]}`);
    return [
      ...plan.mix.mixes.map((mix) => `${mix.vessel.name}: ${contentName[mix.content].toLowerCase()}. ${mixSentences(mix, u).join(' ')} Label it.`),
      ...(plan.hotWater ? ['Hot water stands ready, and has been measured.'] : []),
      `Towels counted out: ${counted.join(', ')}.`,
      ...job.marks.map(({ zone, kind }) => `Seen together with the client: ${markName[kind]}, ${zoneName(zone)}.`),
    ];
  });
  protected readonly cautions = computed(() => (this.planned()?.cautions ?? []).map((one) => cautionSentence[one]));

  protected readonly cards = computed(() => {
    const [standing, plan] = [this.standing(), this.planned()];
    if (!standing || !plan) return [];
    return standing.hands.map((hand) => {
      const { now, next } = hand;
      return {
        hand,
        who: handName(hand, standing.hands.length),
        title: now ? taskText(now) : 'Done',
        withWhat: now ? (now.act === 'wet' ? liquidFor(plan, now.zoneId) : towelsFor(plan, now)) : '',
        clocks: hand.clocks ? clocksText(hand.clocks, this.time()) : '',
        dry: hand.clocks?.dryAt !== null && (hand.clocks?.dryAt ?? Infinity) <= this.time(),
        early: (hand.clocks?.readyAt ?? 0) > this.time(),
        next: next ? taskText(next) : 'nothing more',
      };
    });
  });
  /** What has dwelt and waits for a hand. */
  private readonly ready = computed(() =>
    this.cards()
      .filter(({ clocks, early }) => clocks && !early)
      .map(({ title }) => title)
      .join(),
  );
  protected readonly finished = computed(() => this.cards().every(({ hand }) => hand.now === null));
  protected readonly progress = computed(() => {
    const standing = this.standing();
    return standing ? { ...standing, text: `${standing.done} of ${standing.all}, ${clock(standing.leftS)} of work left` } : null;
  });
  protected readonly elapsed = computed(() => {
    const run = this.run();
    return run ? clock(Math.max(0, (run.endedAt ?? this.time()) - run.startedAt) / 1000) : '';
  });
  protected readonly plannedTime = computed(() => clock(this.planned()?.timeline.elapsedS ?? 0));
  /** Zones that may have to be done once more, the last one first. */
  protected readonly doneZones = computed(() => [...(this.standing()?.zonesDone ?? [])].reverse().map((id) => ({ id, name: zoneName(id) })));

  constructor() {
    staysAwake();
    inject(NetBoard).use({
      caption: 'The car, unfolded, with what is done and what is next',
      looks: computed(() => runLooks(this.desk.zonePlans().values(), this.standing())),
      paints: false,
      press: () => undefined,
    });
    effect(() => this.view.light((this.standing()?.hands ?? []).flatMap(({ now }) => (now ? [now.zoneId] : []))));
    // A dwell that is over is felt in the hand, once.
    effect(() => {
      if (this.ready()) this.document.defaultView?.navigator.vibrate?.(BUZZ_MS);
    });
  }

  protected start(): void {
    this.change('The run is begun', (job) => startRun(job, this.now()));
  }

  protected done({ now }: Hand): void {
    if (now) this.note(taskText(now), { kind: now.act, zone: now.zoneId, section: now.section, of: now.of, at: this.now() });
  }

  /** 1 ticks off what the first person does, 2 the second. */
  protected key({ key, target, ctrlKey, metaKey, altKey }: KeyboardEvent): void {
    const typing = target instanceof HTMLElement && target.matches('input:not([type=checkbox]), select, textarea');
    const card = this.run()?.endedAt === null ? this.cards()[Number(key) - 1] : undefined;
    if (card && !typing && !ctrlKey && !metaKey && !altKey) this.done(card.hand);
  }

  protected again(zone: string): void {
    const known = this.doneZones().find(({ id }) => id === zone);
    if (known) this.note(`Once more: ${known.name}`, { kind: 'again', zone: known.id, section: 0, of: 0, at: this.now() });
  }

  protected takeBack(): void {
    this.change('Taken back', takeBackEvent);
  }

  protected end(): void {
    this.change('The run is over', (job) => endRun(job, this.now()));
  }

  protected forget(): void {
    this.change('The run is forgotten', dropRun);
  }

  private note(cause: string, event: RunEvent): void {
    this.change(cause, (job) => noteEvent(job, event));
  }

  private change(cause: string, change: (job: Job) => Job): void {
    this.desk.edit(cause, change);
  }
}
