import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { places } from './places';

/** On a phone: the places that have no room in the bar. */
@Component({
  selector: 'esm-more-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    <div class="page">
      <h1>More</h1>
      @for (place of rare; track place.path) {
        <a [routerLink]="place.path"><i [class]="place.icon" aria-hidden="true"></i>{{ place.name }}</a>
      }
    </div>
  `,
  styles: `
    .page {
      display: grid;
      gap: 0.6rem;
      padding: 1rem;
      max-width: 30rem;
    }
    a {
      display: flex;
      align-items: center;
      gap: 0.9rem;
      min-height: 4rem;
      padding: 0 1rem;
      border: 1px solid var(--line);
      border-radius: 14px;
      background: var(--card);
      color: var(--ink);
      font-size: 1.2rem;
      text-decoration: none;
    }
  `,
})
export class MorePage {
  protected readonly rare = places.filter(({ isRare }) => isRare);
}
