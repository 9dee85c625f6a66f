import { bootstrapApplication } from '@angular/platform-browser';
import { onlyOwnScripts } from './shell/trusted';
import { AppComponent } from './shell/app.component';
import { appConfig } from './shell/app.config';

onlyOwnScripts();
bootstrapApplication(AppComponent, appConfig).catch((error: unknown) => console.error(error));
