import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { UsedSide, UsedTowel } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { className, percent, roleName, sideUseName, towelName, zoneList, partsText } from '@esmero/messages';

interface Cell {
  readonly number: number;
  /** What the side does in the whole run; more than one thing where a towel goes down. */
  readonly uses: readonly UsedSide[];
  readonly last: UsedSide | undefined;
  readonly x: number;
  readonly y: number;
  readonly fullness: number;
  readonly touched: boolean;
  readonly says: string;
}

const CELL = 38;
const PAGE = 2 * CELL + 10;

/** What a side is full of soonest. */
const fullness = ({ dirtShare, liquidShare, reachShare }: UsedSide): number =>
  Math.min(1, Math.max(dirtShare, liquidShare, reachShare));

const zonesOf = (sides: readonly UsedSide[]): ZoneId[] => [
  ...new Set(sides.flatMap(({ entries }) => entries.map(({ zoneId }) => zoneId))),
];

const used = (side: UsedSide, now: UsedSide): string =>
  `${zoneList(zonesOf([side]), 6)}; ${className[side.cleanliness]}, ${sideUseName[side.use]}, ${percent(fullness(now))} full`;

/**
 * A towel folded for work, both faces laid open: its sides, each filled as far as it is used and
 * marked with the cleanliness class that it comes down to.
 */
@Component({
  selector: 'esm-towel-square',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>
      {{ name() }}
      <span class="soft"
        ><ng-content>{{ role() }}</ng-content></span
      >
      @if (towel().missing) {
        <span class="missing">short</span>
      }
      @if (towel().demoted) {
        <span class="demoted">{{ wording.demoted }}</span>
      }
    </h3>
    <svg viewBox="-1 -1 164 78" role="group" [attr.aria-label]="name() + ', ' + towel().fold + ' sides'">
      @for (cell of cells(); track cell.number) {
        <g
          [attr.tabindex]="cell.last ? 0 : null"
          [attr.role]="cell.last ? 'button' : 'img'"
          [attr.aria-label]="cell.says"
          [attr.data-class]="cell.last?.cleanliness"
          [class.touched]="cell.touched"
          (pointerenter)="show(cell)"
          (pointerleave)="lit.emit([])"
          (focus)="show(cell)"
          (blur)="lit.emit([])"
          (click)="show(cell)"
          (keydown.enter)="show(cell)"
        >
          <rect class="cloth" [attr.x]="cell.x" [attr.y]="cell.y" width="36" height="36" rx="3" />
          <rect
            class="used"
            [attr.x]="cell.x"
            [attr.y]="cell.y + 36 * (1 - cell.fullness)"
            width="36"
            [attr.height]="36 * cell.fullness"
            rx="3"
          />
          <text [attr.x]="cell.x + 4" [attr.y]="cell.y + 10" class="number">{{ cell.number }}</text>
          @if (cell.last; as side) {
            <text [attr.x]="cell.x + 18" [attr.y]="cell.y + 24" class="class">
              {{ side.use === 'wash' ? '' : '◦' }}{{ side.cleanliness }}
            </text>
          }
        </g>
      }
    </svg>
    @if (towel().rewetAfter; as side) {
      <p class="soft">{{ wording.rewet(side) }}</p>
    }
  `,
  styleUrl: './towel-square.component.css',
})
export class TowelSquareComponent {
  protected readonly wording = partsText;
  readonly towel = input.required<UsedTowel>();
  /** The same towel as full as it is at a moment of the run. */
  readonly now = input.required<UsedTowel>();
  /** Zone in view: sides that work on it stand out. */
  readonly zone = input<ZoneId | null>(null);
  /** Zones that the side in hand works on; none when it is put down. */
  readonly lit = output<readonly ZoneId[]>();
  readonly said = output<string>();

  protected readonly name = computed(() => towelName(this.towel()));
  protected readonly role = computed(() => roleName[this.towel().role]);
  protected readonly cells = computed(() => {
    const [towel, now, zone] = [this.towel(), this.now(), this.zone()];
    return Array.from({ length: towel.fold }, (_, i): Cell => {
      const uses = towel.sides.filter(({ number }) => number === i + 1);
      const filled = now.sides.filter(({ number }) => number === i + 1);
      const face = Math.floor(i / 4);
      return {
        number: i + 1,
        uses,
        last: uses.at(-1),
        x: face * PAGE + (i % 2) * CELL,
        y: Math.floor((i % 4) / 2) * CELL,
        fullness: Math.max(0, ...filled.map(fullness)),
        touched: zone !== null && zonesOf(uses).includes(zone),
        says: `Side ${i + 1}: ${uses.map((side, k) => used(side, filled[k]!)).join('. Then ') || 'clean'}`,
      };
    });
  });

  protected show({ uses, says }: Cell): void {
    this.lit.emit(zonesOf(uses));
    this.said.emit(`${this.name()}. ${says}`);
  }
}
