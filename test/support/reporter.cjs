const { appendFileSync } = require('node:fs');
const { env, stdout } = require('node:process');
const { reporters, Runner } = require('mocha');

/** Mocha's Spec report, ended by a plain line of counts; with COUNTS set, the counts go to that file too. */
module.exports = class CountingReporter extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once(Runner.constants.EVENT_RUN_END, () => {
      const { passes, failures } = this.stats;
      if (env.COUNTS) appendFileSync(env.COUNTS, `${passes} ${failures}\n`);
      else stdout.write(`\n${passes} passed, ${failures} failed\n`);
    });
  }
};
