import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type UsedSide, type UsedTowel, type ZoneId } from '@esmero/core';
import { className, percent, roleName, sideUseName, towelName, zoneList } from '@esmero/messages';

interface Cell {
  readonly number: number;
  readonly side: UsedSide | undefined;
  readonly x: number;
  readonly y: number;
  readonly fullness: number;
  readonly says: string;
}

const CELL = 38;
const PAGE = 2 * CELL + 10;

/** What a side is full of soonest. */
const fullness = ({ dirtShare, liquidShare, reachShare }: UsedSide): number =>
  Math.min(1, Math.max(dirtShare, liquidShare, reachShare));

const zonesOf = ({ entries }: UsedSide): ZoneId[] => [...new Set(entries.map(({ zoneId }) => zoneId))];

function words(number: number, side: UsedSide | undefined): string {
  if (!side) return `Side ${number}: clean`;
  const { cleanliness, use } = side;
  return `Side ${number}: ${zoneList(zonesOf(side), 6)}; ${className[cleanliness]}, ${sideUseName[use]}, ${percent(fullness(side))} full`;
}

/**
 * A towel folded in four, both faces laid open: eight sides, each filled as far as it is used and
 * marked with the cleanliness class that it has come down to.
 */
@Component({
  selector: 'esm-towel-square',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>
      {{ name() }} <span class="soft">{{ role() }}</span>
      @if (towel().missing) {
        <span class="missing">not in the pile</span>
      }
      @if (towel().demoted) {
        <span class="demoted">damp, gone down to washing</span>
      }
    </h3>
    <svg viewBox="-1 -1 164 78" role="group" [attr.aria-label]="name() + ', eight sides'">
      @for (cell of cells(); track cell.number) {
        <g
          [attr.tabindex]="cell.side ? 0 : null"
          [attr.role]="cell.side ? 'button' : 'img'"
          [attr.aria-label]="cell.says"
          [attr.data-class]="cell.side?.cleanliness"
          (pointerenter)="show(cell)"
          (pointerleave)="lit.emit([])"
          (focus)="show(cell)"
          (blur)="lit.emit([])"
          (click)="show(cell)"
          (keydown.enter)="show(cell)"
        >
          <rect class="cloth" [attr.x]="cell.x" [attr.y]="cell.y" width="36" height="36" rx="3" />
          <rect class="used" [attr.x]="cell.x" [attr.y]="cell.y + 36 * (1 - cell.fullness)" width="36" [attr.height]="36 * cell.fullness" rx="3" />
          <text [attr.x]="cell.x + 4" [attr.y]="cell.y + 10" class="number">{{ cell.number }}</text>
          @if (cell.side; as side) {
            <text [attr.x]="cell.x + 18" [attr.y]="cell.y + 24" class="class">{{ side.use === 'wash' ? '' : '◦' }}{{ side.cleanliness }}</text>
          }
        </g>
      }
    </svg>
  `,
  styleUrl: './towel-square.component.css',
})
export class TowelSquareComponent {
  readonly towel = input.required<UsedTowel>();
  /** Zones that the side in hand works on; none when it is put down. */
  readonly lit = output<readonly ZoneId[]>();
  readonly said = output<string>();

  protected readonly name = computed(() => towelName(this.towel()));
  protected readonly role = computed(() => roleName[this.towel().role]);
  protected readonly cells = computed(() =>
    Array.from({ length: this.towel().fold }, (_, i): Cell => {
      const side = this.towel().sides[i];
      const face = Math.floor(i / 4);
      return {
        number: i + 1,
        side,
        x: face * PAGE + (i % 2) * CELL,
        y: Math.floor((i % 4) / 2) * CELL,
        fullness: side ? fullness(side) : 0,
        says: words(i + 1, side),
      };
    }),
  );

  protected show(cell: Cell): void {
    this.lit.emit(cell.side ? zonesOf(cell.side) : []);
    this.said.emit(`${this.name()}. ${cell.says}`);
  }
}
