// npm start: install what is missing, build, serve with the demo studio (`npm start -- --empty` without it).
import { spawn } from 'node:child_process';
import { buildPage, installPackages } from './prepare.mjs';

if (!installPackages() || !buildPage()) process.exit(1);
const server = spawn(process.execPath, ['--import', 'tsx', 'src/server/main.ts', ...process.argv.slice(2)], {
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
