import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PassPart, PlannedPass } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import type { Box, DrawnView } from './view-layout';
import type { ZoneLook } from './zone-look';

interface Lit {
  readonly id: ZoneId;
  readonly path: string;
  /** The part of the panel that this pass takes; null: all of it. */
  readonly clip: Box | null;
}

let pictures = 0;

const byZone = (parts: readonly PassPart[]): ReadonlyMap<ZoneId, readonly PassPart[]> => {
  const zones = new Map<ZoneId, PassPart[]>();
  for (const part of parts) zones.set(part.zoneId, [...(zones.get(part.zoneId) ?? []), part]);
  return zones;
};

/** A half across the car where it is worked from both sides; else parts one behind the other along it. */
function clipOf(parts: readonly PassPart[], place: PlannedPass['place'], { x, y, width, height }: Box): Box | null {
  const { of } = parts[0]!;
  if (parts.length >= of) return null;
  const isHalf = parts.length * 2 === of && !/^(left|right)-/.test(parts[0]!.zoneId);
  if (isHalf && place === 'left') return { x, y: y + height / 2, width, height: height / 2 };
  if (isHalf && place === 'right') return { x, y, width, height: height / 2 };
  const first = Math.min(...parts.map(({ section }) => section)) - 1;
  return { x: x + (width * first) / of, y, width: (width * parts.length) / of, height };
}

/** What a pass takes of the car, as one shape on the side where most of it is. */
@Component({
  selector: 'esm-pass-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as shown) {
      <svg [attr.viewBox]="shown.viewBox" aria-hidden="true">
        @for (detail of shown.under; track $index) {
          <path class="detail" [attr.data-kind]="detail.kind" [attr.d]="detail.path" />
        }
        @for (zone of shown.zones; track zone.id) {
          <path class="panel" [attr.d]="zone.path" />
        }
        @for (zone of lit(); track zone.id; let i = $index) {
          @if (zone.clip; as box) {
            <clipPath [attr.id]="name + i">
              <rect [attr.x]="box.x" [attr.y]="box.y" [attr.width]="box.width" [attr.height]="box.height" />
            </clipPath>
          }
          <path
            class="lit"
            [attr.data-fill]="fill()"
            [attr.d]="zone.path"
            [attr.clip-path]="zone.clip ? 'url(#' + name + i + ')' : null"
          />
        }
        @for (detail of shown.over; track $index) {
          <path class="detail" [attr.data-kind]="detail.kind" [attr.d]="detail.path" />
        }
      </svg>
    }
  `,
  styleUrls: ['./details.css', './pass-picture.component.css'],
})
export class PassPictureComponent {
  readonly views = input.required<readonly DrawnView[]>();
  readonly pass = input.required<Pick<PlannedPass, 'parts' | 'place'>>();
  /** The tone of what is done. */
  readonly fill = input.required<ZoneLook['fill']>();

  protected readonly name = `pass-${++pictures}-`;
  private readonly parts = computed(() => byZone(this.pass().parts));
  /** Where most of the pass is. */
  protected readonly shown = computed((): DrawnView | null => {
    const area = ({ zones }: DrawnView): number =>
      zones.reduce((sum, { id, areaM2 }) => sum + (this.parts().has(id) ? areaM2 : 0), 0);
    const best = this.views().reduce<DrawnView | null>((p, q) => (p === null || area(q) > area(p) ? q : p), null);
    return best && area(best) > 0 ? best : null;
  });
  protected readonly lit = computed((): readonly Lit[] =>
    (this.shown()?.zones ?? []).flatMap(({ id, path, box }) => {
      const parts = this.parts().get(id);
      return parts ? [{ id, path, clip: clipOf(parts, this.pass().place, box) }] : [];
    }),
  );
}
