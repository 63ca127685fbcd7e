// npm start: install what is missing, build, serve with the demo studio (`npm start -- --empty` without it).
import './needs.mjs';
import { buildPage, installPackages } from './prepare.mjs';

// a signal while something is installed or built ends that and this
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => process.exit(1));

if (!installPackages() || !buildPage()) process.exit(1);
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.removeAllListeners(signal);
// npm tells only the shell between it and this of a signal; when that is gone, this ends as well
const startedBy = process.ppid;
if (process.env['npm_lifecycle_event'] === 'start')
  setInterval(() => {
    if (process.ppid !== startedBy) process.kill(process.pid, 'SIGTERM');
  }, 300).unref();
// in this process: a signal to it reaches the server, and nothing is left listening behind it
const { register } = await import('tsx/esm/api');
register();
await import('../src/server/main.ts');
