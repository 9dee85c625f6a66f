import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Button } from 'primeng/button';

/** A picture from the camera, from a file, or from the simulated camera where there is one. */
@Component({
  selector: 'esm-take-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button],
  template: `
    <div class="row">
      <p-button
        [label]="again() ? 'Take another' : 'Take a picture'"
        icon="pi pi-camera"
        [severity]="again() ? 'secondary' : 'primary'"
        [outlined]="again()"
        (onClick)="camera.click()"
        [disabled]="busy()"
      />
      <p-button
        label="From a file"
        icon="pi pi-image"
        severity="secondary"
        [outlined]="true"
        (onClick)="file.click()"
        [disabled]="busy()"
      />
      @if (canSimulate()) {
        <p-button
          label="Simulated camera"
          icon="pi pi-sparkles"
          severity="secondary"
          [outlined]="true"
          (onClick)="simulated.emit()"
          [disabled]="busy()"
        />
      }
    </div>
    <input
      #camera
      type="file"
      class="sr-only"
      tabindex="-1"
      aria-hidden="true"
      accept="image/*"
      capture="environment"
      (change)="tell(camera)"
    />
    <input
      #file
      type="file"
      class="sr-only"
      tabindex="-1"
      aria-hidden="true"
      accept="image/*"
      data-picture-file
      (change)="tell(file)"
    />
  `,
  styles: `
    :host {
      display: block;
      margin-block: 0.6rem;
    }
  `,
})
export class TakePictureComponent {
  readonly busy = input(false);
  /** There is a picture already: what comes of it leads. */
  readonly again = input(false);
  readonly canSimulate = input(false);
  readonly taken = output<File>();
  readonly simulated = output();

  protected tell(field: HTMLInputElement): void {
    const picture = field.files?.[0];
    field.value = '';
    if (picture) this.taken.emit(picture);
  }
}
