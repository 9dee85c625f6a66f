import { fileURLToPath } from 'node:url';
import { esmeroServer } from './app';
import { listen } from './listen';

const root = fileURLToPath(new URL('../dist/app/browser', import.meta.url));
const listening = await listen(esmeroServer(root), process.env);
if (listening.ok) {
  process.stdout.write(`Esmero is at ${listening.url}\n`);
} else {
  process.stderr.write(`${listening.message}\n`);
  process.exit(1);
}
