import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { partsText } from '@esmero/messages';
import { type PictureTime, pictureTimes } from '@esmero/model';

/** A picture with its address; none while it is fetched, or where it is kept elsewhere. */
export interface ShownPicture {
  readonly id: string;
  readonly when: PictureTime;
  readonly url: string | null;
  readonly says: string;
}

const names: Readonly<Record<PictureTime, string>> = { before: 'Before', after: 'After' };

/** What the car looked like before, and after, side by side. */
@Component({
  selector: 'esm-picture-pairs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective],
  template: `
    <div class="pair">
      @for (column of columns(); track column.when) {
        <section [attr.aria-label]="names[column.when]">
          <h4>{{ names[column.when] }}</h4>
          @for (picture of column.pictures; track picture.id) {
            <figure>
              @if (picture.url) {
                <img [src]="picture.url" [alt]="names[picture.when] + ': ' + picture.says" />
              } @else {
                <p class="soft">{{ wording.pictureElsewhere }}</p>
              }
              <figcaption class="soft">
                {{ picture.says }}
                <button
                  pButton
                  type="button"
                  class="no-print"
                  severity="secondary"
                  outlined
                  (click)="dropped.emit(picture.id)"
                >
                  Take off<span class="sr-only"> the picture {{ names[picture.when].toLowerCase() }}</span>
                </button>
              </figcaption>
            </figure>
          }
          <label class="chip no-print">
            Picture {{ names[column.when].toLowerCase() }}
            <input
              type="file"
              class="sr-only"
              accept="image/*"
              capture="environment"
              #file
              (change)="add(column.when, file)"
            />
          </label>
        </section>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0.8rem;
    }
    h4 {
      margin: 0 0 0.3rem;
    }
    figure {
      margin: 0 0 0.5rem;
    }
    img {
      width: 100%;
      border: 1px solid var(--line);
      border-radius: 4px;
    }
    label:focus-within {
      outline: 2px solid var(--sea);
    }
  `,
})
export class PicturePairsComponent {
  protected readonly wording = partsText;
  readonly pictures = input.required<readonly ShownPicture[]>();
  readonly added = output<{ readonly when: PictureTime; readonly file: File }>();
  readonly dropped = output<string>();

  protected readonly names = names;
  protected readonly columns = computed(() =>
    pictureTimes.map((when) => ({ when, pictures: this.pictures().filter((one) => one.when === when) })),
  );

  protected add(when: PictureTime, field: HTMLInputElement): void {
    const file = field.files?.[0];
    field.value = '';
    if (file) this.added.emit({ when, file });
  }
}
