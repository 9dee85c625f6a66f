import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  Injector,
  afterNextRender,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { Store as State } from '@ngrx/store';
import { NgTemplateOutlet } from '@angular/common';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { Drawer } from 'primeng/drawer';
import { Select } from 'primeng/select';
import {
  type Hand,
  type Trouble,
  arrive,
  detailsOf,
  dropRun,
  elapsedMs,
  endRun,
  handMovesIn,
  noteEvent,
  noteEvents,
  protectionAfter,
  puttingOn,
  releasing,
  reserving,
  sign,
  runStatusOf,
  setUpS,
  startRun,
  takeBackEvent,
  ticksOf,
  visitOf,
} from '@esmero/core';
import {
  type Noted,
  type Job,
  type RunEvent,
  type Signature,
  type TowelRole,
  type ReplanEvent,
  type ZoneId,
  isTick,
  towelRoles,
  views,
} from '@esmero/model';
import {
  crewText,
  bottleSentence,
  cautionSentence,
  laterSentence,
  clock,
  compareText,
  markName,
  mixTitle,
  mixSentences,
  oneTowel,
  replannedText,
  roleName,
  taskHeading,
  taskText,
  toMindText,
  turnText,
  verdictSentence,
  visitText,
  zoneName,
  runText,
} from '@esmero/messages';
import { CLOCK, NOW, ticking } from '../../state/clock';
import { CrewDesk } from '../../state/crew-desk';
import { JobDesk } from '../../state/job-desk';
import { CrewComponent } from './crew.component';
import { type Speech, settingsActions, settingsFeature } from '../../state/settings';
import { CollectionDesk } from '../../state/collection-desk';
import { SignaturePadComponent } from '../../ui/signature-pad.component';
import { HalfPanelComponent } from '../../measuring/half-panel.component';
import { type Held, SideMeterComponent } from '../../measuring/side-meter.component';
import { closeButton } from '../../ui/close-button';
import { ChoiceComponent } from '../../ui/choice.component';
import { viewOf } from '../../ui/net/view-layout';
import { runLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { staysAwake } from './awake';
import { ChangedComponent, type Turned } from './changed.component';
import { PunchComponent } from './punch.component';
import { RunCardComponent } from './run-card.component';
import { isFromRemote, onHeadset } from './remote';
import { VOICE, speaker } from './speech';
import { TapPadComponent } from './tap-pad.component';
import { type Call, caller } from './tone';
import { UseFormComponent } from './use-form.component';
import { VisitComponent } from './visit.component';

/** So long before a section dries somebody is called. */
const DRYING_SOON_MS = 30_000;

/** Beside the car, with wet hands: one thing at a time in large letters, its clocks, and one large button. */
@Component({
  selector: 'esm-run-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ButtonDirective,
    ChangedComponent,
    Checkbox,
    ChoiceComponent,
    CrewComponent,
    Drawer,
    FormsModule,
    HalfPanelComponent,
    NgTemplateOutlet,
    PunchComponent,
    RunCardComponent,
    Select,
    SideMeterComponent,
    SignaturePadComponent,
    TapPadComponent,
    UseFormComponent,
    VisitComponent,
  ],
  templateUrl: './run.stage.html',
  styleUrl: './run.stage.css',
  host: { '(document:keydown)': 'key($event)' },
})
export class RunStage {
  protected readonly wording = runText;
  protected readonly desk = inject(JobDesk);
  private readonly view = inject(ZoneInView);
  private readonly now = inject(NOW);
  private readonly state = inject(State);
  private readonly collection = inject(CollectionDesk);
  private readonly call = caller();
  private readonly injector = inject(Injector);
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly sound = this.state.selectSignal(settingsFeature.selectSound);
  protected readonly time = ticking();

  protected readonly planned = computed(() => {
    const plan = this.desk.plan();
    return plan && plan.method !== 'decline' ? plan : null;
  });
  protected readonly possible = computed(() => this.planned() !== null);
  protected readonly run = computed(() => this.desk.job()?.run ?? null);
  protected readonly crew = inject(CrewDesk);
  protected readonly crewOpen = signal(false);
  /** What the other phone took back of what stood here. */
  protected readonly takenBack = computed(() =>
    this.isShared() && this.crew.takenBack().length > 0 ? crewText.takenBack(this.crew.takenBack()) : '',
  );
  private readonly isShared = computed(() => this.crew.jobId() === this.desk.job()?.id);
  /** How the other phone stands, where this car is shared. */
  protected readonly crewText = computed(() => (this.isShared() ? crewText.state[this.crew.state()] : ''));
  private readonly standing = computed(() => {
    const [plan, run] = [this.planned(), this.run()];
    return plan && run ? runStatusOf(plan, run) : null;
  });

  /** Where the visit stands, from arriving to the handover. */
  protected readonly visit = computed(() => {
    const [plan, job] = [this.planned(), this.desk.job()];
    return plan && job ? visitOf(plan, job, this.standing(), job.run?.endedAt ?? this.time()) : null;
  });
  protected readonly visitText = computed(() => (this.visit() ? visitText(this.visit()!) : ''));
  /** What is looked at with the client. */
  protected readonly walkRound = computed(() => {
    const { around, marks } = this.desk.job()!;
    return [
      ...around.map((one) => toMindText[one]),
      ...marks.map(({ zone, kind }) => runText.seenTogether(markName[kind], zoneName(zone))),
    ];
  });
  /** To be seen to before anything is wetted. */
  protected readonly setUp = computed(() => {
    const [plan, job, u] = [this.planned(), this.desk.job(), this.desk.units()];
    if (!plan || !job) return [];
    const count = (role: (typeof towelRoles)[number]): number =>
      plan.towels.filter((towel) => towel.role === role).length;
    const counted = towelRoles
      .filter((role) => count(role) > 0)
      .map((role) => (count(role) === 1 ? `one ${oneTowel[role]}` : `${count(role)} ${roleName[role]}`));
    return [
      ...plan.mix.mixes.map(
        (mix) => `${mix.vessel.name}: ${mixTitle(mix).toLowerCase()}. ${mixSentences(mix, u).join(' ')} Label it.`,
      ),
      ...plan.bottles.map((bottle) => `${bottle.productName}: ${bottleSentence(bottle, u)}`),
      ...(plan.hotWater ? [runText.hotReady] : []),
      `Towels counted out: ${counted.join(', ')}.`,
    ];
  });
  protected readonly setUpTitle = computed(() =>
    runText.setUpFirst(clock(this.planned() ? setUpS(this.planned()!) : 0)),
  );
  /** The first panel is not begun yet: what is set up stays in sight. */
  protected readonly settingUp = computed(() => this.run()?.events.length === 0);
  protected readonly lookTitle = computed(() =>
    runText.lookFor(clock(this.visit()?.stages.find(({ stage }) => stage === 'after')?.plannedS ?? 0)),
  );
  /** What is left for after the drive home. */
  protected readonly later = computed(() => {
    const task = this.planned()?.later;
    return task ? laterSentence(task, this.desk.units()) : '';
  });
  protected readonly cautions = computed(() => (this.planned()?.cautions ?? []).map((one) => cautionSentence[one]));

  protected readonly compare = compareText;
  protected readonly compared = signal(false);
  /** After the first panel: the washed half beside the other, before all the rest is done the same way. */
  protected readonly comparing = computed(() => !this.compared() && (this.standing()?.timeToCompare ?? false));
  protected readonly hands = computed(() => this.standing()?.hands ?? []);
  /** What is being measured beside the car. */
  protected readonly measuring = signal<'proof' | 'side' | null>(null);
  /** The towel that washes in the first person's pass. */
  protected readonly held = computed((): Held | null => {
    const [plan, now] = [this.planned(), this.hands()[0]?.now];
    const moves = plan && now ? handMovesIn(plan, now.pass) : [];
    const move = moves.find(({ role }) => role !== 'drying') ?? moves[0];
    if (!plan || !move) return null;
    const fold = plan.towels.find(({ number, worker }) => number === move.towel && worker === move.worker)?.fold ?? 0;
    return { role: move.role, sidesLeft: Math.max(0, fold - Math.max(...move.sides)) };
  });
  /** Each side of the car once, for the picture of a pass. */
  protected readonly views = computed(() => {
    const vehicle = this.desk.job()?.vehicle;
    const details = vehicle ? detailsOf(vehicle) : [];
    return views.map((view) => viewOf(view, this.desk.zones(), details));
  });
  /** What is read aloud when it becomes the next thing to do; nothing where nobody wants to hear it. */
  private readonly spoken = computed(() => {
    const speech = this.speech();
    if (speech === 'off' || this.run()?.endedAt !== null) return '';
    return this.hands()
      .flatMap(({ now }) => (now ? [speech === 'full' ? taskText(now) : taskHeading(now)] : []))
      .join('. ');
  });
  /** What has dwelt and waits for a hand, and what is about to dry. */
  private readonly ready = computed(() =>
    this.titles(({ clocks }) => clocks !== null && clocks.readyAt <= this.time()),
  );
  private readonly drying = computed(() =>
    this.titles(({ clocks }) => (clocks?.dryAt ?? Infinity) - DRYING_SOON_MS <= this.time()),
  );
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
  /** Towels that the plan goes on with, and that are not there yet. */
  protected readonly toFind = computed(() =>
    (this.desk.plan()?.verdicts ?? []).flatMap((one) =>
      one.code === 'towels-to-find' ? [verdictSentence(one, this.desk.units())] : [],
    ),
  );
  /** What stands in the way of the rest, and which zones might wait. */
  protected readonly stuck = computed(() => {
    const plan = this.desk.plan();
    if (!plan || plan.method !== 'decline') return null;
    const waits = plan.verdicts.flatMap((one): readonly ZoneId[] => (one.code === 'zones-wait' ? one.zones : []));
    return { why: plan.verdicts.map((one) => verdictSentence(one, this.desk.units())), waits };
  });
  protected readonly finished = computed(() => this.hands().every(({ now }) => now === null));
  protected readonly progress = computed(() => {
    const standing = this.standing();
    if (!standing) return null;
    const { done, all, leftS } = standing;
    const parts = Array.from({ length: all }, (_, i) => (i < done ? 'done' : i === done ? 'now' : 'open'));
    return { done, all, parts, text: `${done} of ${all} passes, ${clock(leftS)} left` };
  });
  protected readonly elapsed = computed(() => {
    const run = this.run();
    return run ? clock(elapsedMs(run, run.endedAt ?? this.time()) / 1000) : '';
  });
  protected readonly plannedTime = computed(() => clock(this.planned()?.timeline.elapsedS ?? 0));
  /** Zones that may have to be done once more, the last one first. */
  protected readonly doneZones = computed(() =>
    [...(this.standing()?.zonesDone ?? [])].reverse().map((id) => ({ id, name: zoneName(id) })),
  );

  constructor() {
    staysAwake();
    const steady = inject(CLOCK);
    effect(() => {
      const last = this.run()?.events.at(-1);
      if (last) steady.notBefore(last.at);
    });
    inject(NetBoard).use({
      shape: 'instrument',
      caption: 'The car, unfolded, with what is done and what is next',
      looks: computed(() => runLooks(this.desk.zonePlans().values(), this.standing())),
      beside: computed(() => this.run()?.endedAt === null),
      paints: false,
      press: () => undefined,
    });
    effect(() =>
      this.view.light(
        (this.standing()?.hands ?? []).flatMap(({ now }) => now?.parts.map(({ zoneId }) => zoneId) ?? []),
      ),
    );
    const say = speaker();
    effect(() => {
      const text = this.spoken();
      if (text) say(text);
    });
    onHeadset(() => {
      const first = this.hands()[0];
      if (first?.now && this.run()?.endedAt === null) this.done(first);
    });
    this.callsFor(this.ready, 'ready');
    this.callsFor(this.drying, 'drying');
  }

  /** Calls once for everything new. */
  private callsFor(what: () => string, call: Call): void {
    effect(() => {
      if (what()) this.call(call, untracked(this.sound));
    });
  }

  private titles(which: (hand: Hand) => boolean): string {
    return this.hands()
      .filter(which)
      .map(({ now }) => (now ? taskText(now) : ''))
      .join();
  }

  protected arrive(): void {
    this.change('At the car', (job) => arrive(job, this.now()));
  }

  protected start(): void {
    const [job, plan] = [this.desk.job(), this.planned()];
    if (!job || !plan) return;
    this.collection.post(reserving(job, plan, this.collection.movements()));
    this.change('Run started', (one) => startRun(one, this.now()));
    // What is set up comes first, wherever one has read to.
    afterNextRender(() => this.element.scrollIntoView({ block: 'start' }), { injector: this.injector });
  }

  protected done({ now }: Hand): void {
    const plan = this.planned();
    if (now && plan) this.change(taskText(now), (job) => noteEvents(job, ticksOf(plan, now, this.now())));
  }

  /** 1 ticks off what the first person does, 2 the second. */
  protected key({ key, target, ctrlKey, metaKey, altKey, repeat }: KeyboardEvent): void {
    const typing = target instanceof HTMLElement && target.matches('input:not([type=checkbox]), select, textarea');
    // A remote has one button: it is the first person's.
    const hand =
      this.run()?.endedAt === null ? this.hands()[isFromRemote(key, !this.pad()) ? 0 : Number(key) - 1] : undefined;
    if (
      hand?.now &&
      !repeat &&
      !typing &&
      !this.elseOpen() &&
      this.measuring() === null &&
      !ctrlKey &&
      !metaKey &&
      !altKey
    )
      this.done(hand);
  }

  protected again(zone: string | null): void {
    const known = this.doneZones().find(({ id }) => id === zone);
    if (known) this.turn({ kind: 'again', zone: known.id });
  }

  protected readonly elseOpen = signal(false);
  protected readonly pad = signal(false);
  protected readonly voice = inject(VOICE);
  protected readonly close = closeButton;

  /** What a hand has felt in its pass. */
  protected trouble(kind: Trouble, { now }: Hand): void {
    const zone = now?.parts[0]?.zoneId;
    if (kind !== 'crackles') this.turn({ kind });
    else if (zone) this.turn({ kind, zone });
  }

  protected turn(turn: Turned): void {
    this.elseOpen.set(false);
    const event = { ...turn, at: this.now() } as ReplanEvent;
    this.note(turnText(event, this.desk.units()), event);
  }

  protected towel(kind: 'side-full' | 'towel-out', role: TowelRole, worker: number): void {
    this.turn({ kind, role, worker });
  }

  protected sign(signed: Pick<Signature, 'by' | 'path'> | null): void {
    this.change(signed ? `Signed by ${signed.by}` : 'To be signed again', (job) =>
      sign(job, signed && { ...signed, at: this.now() }),
    );
  }

  protected readonly speech = this.state.selectSignal(settingsFeature.selectSpeech);
  protected readonly speeches = [
    { value: 'off', label: 'Silent' },
    { value: 'short', label: 'Say the pass' },
    { value: 'full', label: 'Say the panels, too' },
  ] as const;

  protected setSpeech(speech: Speech): void {
    this.state.dispatch(settingsActions.setSpeech({ speech }));
  }

  protected toggleSound(): void {
    this.state.dispatch(settingsActions.setSound({ sound: !this.sound() }));
    if (this.sound()) this.call('ready', true);
  }

  protected measure(what: 'proof' | 'side'): void {
    this.elseOpen.set(false);
    this.measuring.set(what);
  }

  protected sideFull({ role }: Held): void {
    this.measuring.set(null);
    this.towel('side-full', role, this.hands()[0]!.worker);
  }

  protected takeBack(): void {
    this.change('Taken back', takeBackEvent);
  }

  protected end(): void {
    this.noteProtection();
    this.change('The run is over', (job) => endRun(job, this.now()));
  }

  /** What was put on is kept with the car. */
  private noteProtection(): void {
    const [job, plan] = [this.desk.job(), this.planned()];
    const car = this.collection
      .library()
      .find((entry) => entry.kind === 'vehicle' && entry.item.id === job?.vehicle.id);
    if (!job?.run || !plan || car?.kind !== 'vehicle') return;
    const { zonesDone } = runStatusOf(plan, job.run);
    if (puttingOn(job, plan, zonesDone).length > 0)
      this.collection.put({ ...car, item: { ...car.item, protection: protectionAfter(job, plan, zonesDone) } }, car);
  }

  protected forget(): void {
    const job = this.desk.job();
    if (job) this.collection.post(releasing(job.id, this.collection.movements()));
    this.change('The run is forgotten', dropRun);
  }

  private note(cause: string, event: Noted): void {
    this.change(cause, (job) => noteEvent(job, event));
  }

  private change(cause: string, change: (job: Job) => Job): void {
    this.desk.edit(cause, change);
  }
}
