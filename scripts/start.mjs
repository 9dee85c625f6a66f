import { spawn } from 'node:child_process';
import { build, installPackages } from './prepare.mjs';

installPackages();
build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
