import { spawn } from 'node:child_process';
import { buildToRun, installToRun } from './prepare.mjs';

await installToRun();
await buildToRun();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts', ...process.argv.slice(2)], {
  stdio: 'inherit',
  env: { NODE_ENV: 'production', ...process.env },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(code ?? (signal === 'SIGKILL' ? 1 : 0)));
