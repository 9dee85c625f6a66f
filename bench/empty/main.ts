import { Component } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { RouterOutlet, provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import { Button } from 'primeng/button';
import { providePrimeNG } from 'primeng/config';
import { esmeroPreset } from '../../src/app/theme/preset';

/** The least that the same framework, store and theme can be: what Esmero's download is held against. */
@Component({
  selector: 'esm-root',
  imports: [Button, RouterOutlet],
  template: '<p-button label="Nothing" /><router-outlet />',
})
class EmptyComponent {}

bootstrapApplication(EmptyComponent, {
  providers: [
    provideRouter([]),
    provideStore(),
    provideEffects(),
    providePrimeNG({ theme: { preset: esmeroPreset, options: { darkModeSelector: '.dark' } } }),
  ],
}).catch((error: unknown) => console.error(error));
