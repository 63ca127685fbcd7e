// What npm start needs, asked before anything else: said in a sentence where it is not so.
import { accessSync, constants, existsSync } from 'node:fs';

/** As package.json says. */
const LEAST = [20, 19];

const stop = (message) => {
  process.stderr.write(`${message}\n`);
  process.exit(1);
};

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < LEAST[0] || (major === LEAST[0] && minor < LEAST[1]))
  stop(`Drip Line needs Node ${LEAST.join('.')} or newer; this is Node ${process.versions.node}.`);

const FLAGS = ['--empty'];
const unknown = process.argv.slice(2).filter((flag) => !FLAGS.includes(flag));
if (unknown.length > 0)
  stop(
    `"${unknown.join(' ')}" is not known here. npm start takes "-- --empty": a shelf without the demo studio.`,
  );

for (const folder of ['.', 'node_modules', 'dist'])
  try {
    if (existsSync(folder)) accessSync(folder, constants.W_OK);
  } catch {
    stop(
      `The folder "${folder === '.' ? process.cwd() : folder}" may not be written by this user: packages are installed and the page is built there. Give it to this user, or copy Drip Line to a folder of your own.`,
    );
  }
