const { appendFileSync } = require('node:fs');
const { reporters, Runner } = require('mocha');

/** Mocha's Spec report, ended by a plain line of counts; with COUNTS set, the counts go to that file too. */
module.exports = class CountingReporter extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once(Runner.constants.EVENT_RUN_END, () => {
      const { passes, failures } = this.stats;
      if (process.env.COUNTS) appendFileSync(process.env.COUNTS, `${passes} ${failures}\n`);
      else process.stdout.write(`\n${passes} passed, ${failures} failed\n`);
    });
  }
};
