import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type Hand, dropRun, elapsedMs, endRun, noteEvent, noteEvents, releasing, reserving, sign, runStatusOf, startRun, takeBackEvent, ticksOf } from '@esmero/core';
import { type Noted, type Job, type RunEvent, type Signature, type TowelRole, type ReplanEvent, type ZoneId, isTick, towelRoles } from '@esmero/model';
import { actHint, cautionSentence, clock, clocksText, handName, lapName, markName, mixTitle, mixSentences, oneTowel, replannedText, roleName, rolesFor, stepsFor, taskText, towelsFor, turnText, verdictSentence, zoneName } from '@esmero/messages';
import { CLOCK, NOW, ticking } from '../../state/clock';
import { JobDesk } from '../../state/job-desk';
import { settingsActions, settingsFeature } from '../../state/settings';
import { ShelfDesk } from '../../state/shelf-desk';
import { SignaturePadComponent } from '../../ui/signature-pad.component';
import { SwipeDirective } from '../../ui/swipe.directive';
import { runLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { staysAwake } from './awake';
import { ChangedComponent, type Turned } from './changed.component';
import { PunchComponent } from './punch.component';
import { type Call, caller } from './tone';
import { UseFormComponent } from './use-form.component';

/** So long before a section dries somebody is called. */
const DRYING_SOON_MS = 30_000;

/** Beside the car, with wet hands: one thing at a time in large letters, its clocks, and one large button. */
@Component({
  selector: 'esm-run-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChangedComponent, PunchComponent, SignaturePadComponent, SwipeDirective, UseFormComponent],
  templateUrl: './run.stage.html',
  styleUrl: './run.stage.css',
  host: { '(document:keydown)': 'key($event)', '[class.two]': 'cards().length > 1' },
})
export class RunStage {
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  private readonly now = inject(NOW);
  private readonly state = inject(State);
  private readonly shelf = inject(ShelfDesk);
  private readonly call = caller();
  protected readonly sound = this.state.selectSignal(settingsFeature.selectSound);
  private readonly time = ticking();

  private readonly planned = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? plan : null;
  });
  protected readonly possible = computed(() => this.planned() !== null);
  protected readonly run = computed(() => this.desk.job()?.run ?? null);
  private readonly standing = computed(() => {
    const [plan, run] = [this.planned(), this.run()];
    return plan && run ? runStatusOf(plan, run) : null;
  });

  /** To be seen to before anything is wetted. */
  protected readonly setUp = computed(() => {
    const [plan, job, u] = [this.planned(), this.desk.job(), this.desk.units()];
    if (!plan || !job) return [];
    const count = (role: (typeof towelRoles)[number]): number => plan.towels.filter((towel) => towel.role === role).length;
    const counted = towelRoles.filter((role) => count(role) > 0).map((role) => `${count(role)} ${roleName[role]}`);
    return [
      ...plan.mix.mixes.map((mix) => `${mix.vessel.name}: ${mixTitle(mix).toLowerCase()}. ${mixSentences(mix, u).join(' ')} Label it.`),
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
        number: now ? `Pass ${now.pass}${now.lap ? `, ${lapName[now.lap].toLowerCase()}` : ''}` : '',
        steps: now?.act === 'wipe' ? stepsFor(plan, now) : [],
        towels: now ? towelsFor(plan, now) : [],
        hint: now ? actHint[now.act] : '',
        roles: now ? rolesFor(plan, now).map((role) => ({ role, name: oneTowel[role] })) : [],
        clocks: hand.clocks ? clocksText(hand.clocks, this.time()) : '',
        dry: hand.clocks?.dryAt !== null && (hand.clocks?.dryAt ?? Infinity) <= this.time(),
        early: (hand.clocks?.readyAt ?? 0) > this.time(),
        next: next ? taskText(next) : 'nothing more',
      };
    });
  });
  /** What has dwelt and waits for a hand, and what is about to dry. */
  private readonly ready = computed(() => this.titles(({ clocks, early }) => clocks !== '' && !early));
  private readonly drying = computed(() => this.titles(({ hand }) => (hand.clocks?.dryAt ?? Infinity) - DRYING_SOON_MS <= this.time()));
  /** The last thing that turned out otherwise, and what the plan is by it. */
  protected readonly replanned = computed(() => {
    const [run, { plan, before }] = [this.run(), this.desk.planState()];
    const turns = (run?.events ?? []).filter((event): event is RunEvent & ReplanEvent => !isTick(event));
    const last = turns.at(-1);
    if (!last || !plan || !run) return null;
    const known = run.events.lastIndexOf(last) < plan.begun.events;
    if (!known) return `${turnText(last, this.desk.units())}. Planning again …`;
    // Only just planned again: how much more or less there is to do than there was.
    const was = before && before.begun.events < plan.begun.events ? runStatusOf(before, run).leftS : null;
    const what = turnText(last, this.desk.units());
    return `${what}. Planned again: ${replannedText(plan, runStatusOf(plan, run).leftS, was, this.desk.units())}.`;
  });
  /** What stands in the way of the rest, and which zones might wait. */
  protected readonly stuck = computed(() => {
    const plan = this.desk.plan();
    if (!plan || plan.method !== 'decline') return null;
    const waits = plan.verdicts.flatMap((one): readonly ZoneId[] => (one.code === 'zones-wait' ? one.zones : []));
    return { why: plan.verdicts.map((one) => verdictSentence(one, this.desk.units())), waits };
  });
  protected readonly finished = computed(() => this.cards().every(({ hand }) => hand.now === null));
  protected readonly progress = computed(() => {
    const standing = this.standing();
    return standing ? { ...standing, text: `${standing.done} of ${standing.all} passes, ${clock(standing.leftS)} of work left` } : null;
  });
  protected readonly elapsed = computed(() => {
    const run = this.run();
    return run ? clock(elapsedMs(run, run.endedAt ?? this.time()) / 1000) : '';
  });
  protected readonly plannedTime = computed(() => clock(this.planned()?.timeline.elapsedS ?? 0));
  /** Zones that may have to be done once more, the last one first. */
  protected readonly doneZones = computed(() => [...(this.standing()?.zonesDone ?? [])].reverse().map((id) => ({ id, name: zoneName(id) })));

  constructor() {
    staysAwake();
    const steady = inject(CLOCK);
    effect(() => {
      const last = this.run()?.events.at(-1);
      if (last) steady.notBefore(last.at);
    });
    inject(NetBoard).use({
      caption: 'The car, unfolded, with what is done and what is next',
      looks: computed(() => runLooks(this.desk.zonePlans().values(), this.standing())),
      beside: computed(() => this.run()?.endedAt === null),
      paints: false,
      press: () => undefined,
    });
    effect(() => this.view.light((this.standing()?.hands ?? []).flatMap(({ now }) => (now?.parts.map(({ zoneId }) => zoneId) ?? []))));
    this.callsFor(this.ready, 'ready');
    this.callsFor(this.drying, 'drying');
  }

  /** Calls once for everything new. */
  private callsFor(what: () => string, call: Call): void {
    effect(() => {
      if (what()) this.call(call, untracked(this.sound));
    });
  }

  private titles(which: (card: ReturnType<typeof this.cards>[number]) => boolean): string {
    return this.cards().filter(which).map(({ title }) => title).join();
  }

  protected start(): void {
    const [job, plan] = [this.desk.job(), this.planned()];
    if (!job || !plan) return;
    this.shelf.post(reserving(job, plan, this.shelf.movements()));
    this.change('The run is begun', (one) => startRun(one, this.now()));
  }

  protected done({ now }: Hand): void {
    const plan = this.planned();
    if (now && plan) this.change(taskText(now), (job) => noteEvents(job, ticksOf(plan, now, this.now())));
  }

  /** 1 ticks off what the first person does, 2 the second. */
  protected key({ key, target, ctrlKey, metaKey, altKey }: KeyboardEvent): void {
    const typing = target instanceof HTMLElement && target.matches('input:not([type=checkbox]), select, textarea');
    const card = this.run()?.endedAt === null ? this.cards()[Number(key) - 1] : undefined;
    if (card && !typing && !ctrlKey && !metaKey && !altKey) this.done(card.hand);
  }

  protected again(zone: string): void {
    const known = this.doneZones().find(({ id }) => id === zone);
    if (known) this.turn({ kind: 'again', zone: known.id });
  }

  /** Notes that something turned out otherwise; the rest is planned again. */
  protected turn(turn: Turned): void {
    const event = { ...turn, at: this.now() } as ReplanEvent;
    this.note(turnText(event, this.desk.units()), event);
  }

  protected towel(kind: 'side-full' | 'towel-out', role: TowelRole, worker: number): void {
    this.turn({ kind, role, worker });
  }

  protected sign(signed: Pick<Signature, 'by' | 'path'> | null): void {
    this.change(signed ? `Signed by ${signed.by}` : 'To be signed anew', (job) => sign(job, signed && { ...signed, at: this.now() }));
  }

  protected toggleSound(): void {
    this.state.dispatch(settingsActions.setSound({ sound: !this.sound() }));
    if (this.sound()) this.call('ready', true);
  }

  protected takeBack(): void {
    this.change('Taken back', takeBackEvent);
  }

  protected end(): void {
    this.change('The run is over', (job) => endRun(job, this.now()));
  }

  protected forget(): void {
    const job = this.desk.job();
    if (job) this.shelf.post(releasing(job.id, this.shelf.movements()));
    this.change('The run is forgotten', dropRun);
  }

  private note(cause: string, event: Noted): void {
    this.change(cause, (job) => noteEvent(job, event));
  }

  private change(cause: string, change: (job: Job) => Job): void {
    this.desk.edit(cause, change);
  }
}
