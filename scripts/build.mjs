import { build } from './prepare.mjs';

/** The build as a process of its own, so that other work goes on beside it. */
await build();
