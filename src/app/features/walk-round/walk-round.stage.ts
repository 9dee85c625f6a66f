import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { MenuItem } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { lift, setBugs, setSpots } from '@esmero/core';
import {
  type BugCover,
  type CleanlinessClass,
  type SpotKind,
  type ZoneId,
  soilKinds,
  soilLevels,
  spotKinds,
  views,
} from '@esmero/model';
import {
  className,
  eyeText,
  roughly,
  levelBrief,
  levelName,
  capital,
  questionSentence,
  soilName,
  spotName,
  bugSentence,
  bugsName,
  spotSentence,
  viewName,
  zoneName,
  walkText,
} from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { ChoiceComponent } from '../../ui/choice.component';
import { soilLooks } from '../../ui/net/looks';
import { NetBoard } from '../../ui/net/net-board';
import { ZoneInView } from '../../ui/net/zone-in-view';
import { SoilBrush } from './brush';
import { MarksComponent } from './marks.component';
import { ReadingComponent } from './reading.component';
import { SinceComponent } from './since.component';
import { WipeTestComponent } from './wipe-test.component';

const classes: readonly CleanlinessClass[] = [0, 1, 2, 3, 4, 5];

/** What is seen on the car, painted onto it. */
@Component({
  selector: 'esm-walk-round-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ButtonDirective,
    ChoiceComponent,
    MarksComponent,
    Menu,
    ReadingComponent,
    SinceComponent,
    WipeTestComponent,
  ],
  providers: [SoilBrush],
  templateUrl: './walk-round.stage.html',
  styleUrl: './walk-round.stage.css',
})
export class WalkRoundStage {
  protected readonly wording = walkText;
  protected readonly desk = inject(JobDesk);
  protected readonly brush = inject(SoilBrush);
  private readonly view = inject(ZoneInView);

  protected readonly kinds = soilKinds.map((value) => ({ value, label: soilName[value] }));
  protected readonly levels = soilLevels.map((value) => ({
    value,
    label: levelName[value],
    brief: levelBrief[value],
    level: value,
  }));
  protected readonly spots = spotKinds;
  protected readonly covers: readonly { readonly value: BugCover | 'none'; readonly label: string }[] = [
    { value: 'none', label: 'None' },
    { value: 'few', label: 'Few' },
    { value: 'many', label: 'Many' },
    { value: 'covered', label: 'Covered' },
  ];
  protected readonly soilName = soilName;
  protected readonly levelName = levelName;
  protected readonly spotName = spotName;
  /** What is painted at one press, with what is in the hand. */
  protected readonly wholeAreas = computed((): MenuItem[] => {
    const with_ = this.brush.says();
    const item = (label: string, command: () => void): MenuItem => ({ label, command });
    return [
      {
        label: `All of it: ${with_}`,
        items: [
          item('Whole car', () => this.brush.onAll()),
          ...views.map((view) => item(capital(viewName[view]), () => this.brush.onView(view))),
        ],
      },
      {
        label: `Kind of part: ${with_}`,
        items: classes.map((one) => item(capital(className[one]), () => this.brush.onClass(one))),
      },
      {
        label: 'As seen on the other side',
        items: [
          item('Left side onto right', () => this.brush.mirror('left')),
          item('Right side onto left', () => this.brush.mirror('right')),
        ],
      },
    ];
  });

  /** The zone that was pressed last, with what lies on it. */
  protected readonly zone = computed(() => {
    const id = this.view.current();
    const soil = id ? this.desk.job()?.soil[id] : undefined;
    return id && this.desk.zone(id) ? { id, name: zoneName(id), soil } : null;
  });
  /** Where a closer look might change the answer. */
  protected readonly questions = computed(() =>
    (this.desk.plan()?.questions ?? []).map((question) => ({
      id: question.zoneId,
      name: zoneName(question.zoneId),
      says: questionSentence(question),
    })),
  );
  /** What will be done about the spots of the zone, where the plan knows. */
  protected readonly pretreated = computed(() => {
    const spots = this.desk.zonePlans().get(this.zone()?.id ?? 'roof')?.option?.spots ?? [];
    return new Map(spots.map((spot) => [spot.kind, spotSentence(spot)]));
  });
  protected readonly wiping = signal(false);
  protected readonly measured = computed(() => {
    const measured = this.zone()?.soil?.measured;
    return measured ? eyeText.measuredSays(this.desk.units().load(roughly(measured.loadGm2)), measured.spread) : '';
  });
  protected readonly cover = computed((): BugCover | 'none' => this.zone()?.soil?.bugs ?? 'none');
  protected readonly bugs = computed(() => {
    const bugs = this.desk.zonePlans().get(this.zone()?.id ?? 'roof')?.option?.bugs;
    return bugs ? bugSentence(bugs, this.desk.units()) : '';
  });
  /** Pieces that no view shows, each with what was seen on it. */
  protected readonly hidden = computed(() => {
    const soil = this.desk.job()?.soil ?? {};
    return this.desk.hidden().map(({ id }) => ({
      id,
      name: zoneName(id),
      worst: soil[id] ? Math.max(0, ...soil[id].deposits.map(({ level }) => level)) : null,
    }));
  });
  protected readonly unseen = computed(() => {
    const soil = this.desk.job()?.soil ?? {};
    return this.desk.allZones().filter(({ id }) => !soil[id]).length;
  });

  constructor() {
    const brush = this.brush;
    inject(NetBoard).use({
      shape: 'car',
      caption: 'The car, unfolded: press a panel to paint it with the brush',
      looks: computed(() => soilLooks(this.desk.zones(), this.desk.job())),
      paints: true,
      press: (id, stroke) => brush.onZone(id, stroke),
      key: (key, id) => brush.key(key, id),
    });
  }

  protected look(id: ZoneId): void {
    this.view.choose(id);
  }

  /** Paints a piece that is not drawn, as a press on the car would. */
  protected paintHidden(id: ZoneId): void {
    this.brush.onZone(id);
    this.view.choose(id);
  }

  protected count(kind: SpotKind): number {
    return this.zone()?.soil?.spots[kind] ?? 0;
  }

  protected spot(kind: SpotKind, by: 1 | -1): void {
    const zone = this.zone();
    if (!zone) return;
    const count = Math.min(500, Math.max(0, this.count(kind) + by));
    this.desk.edit(`${zone.name}: ${count} ${spotName[kind]}`, (job) => setSpots(job, zone.id, kind, count));
  }

  protected splatter(cover: BugCover | 'none'): void {
    const zone = this.zone();
    if (!zone) return;
    this.desk.edit(`${zone.name}: ${cover === 'none' ? 'no bugs' : bugsName[cover]}`, (job) =>
      setBugs(job, zone.id, cover === 'none' ? null : cover),
    );
  }

  protected lift(kind: (typeof soilKinds)[number]): void {
    const zone = this.zone();
    if (zone) this.desk.edit(`${zone.name}: no ${soilName[kind]}`, (job) => lift(job, zone.id, kind));
  }
}
