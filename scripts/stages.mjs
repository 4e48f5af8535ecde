/** A stage failed in a way the user can mend: what is wrong, and what to do. */
export class Stop extends Error {
  constructor(problem, remedy) {
    super(problem);
    this.remedy = remedy;
  }
}

/**
 * Runs one named stage and prints how it went; `work` gives a word on what it did. A failure says what to do and
 * goes on up as a Stop.
 */
export async function stage(name, work) {
  const began = Date.now();
  try {
    const said = await work();
    const seconds = ((Date.now() - began) / 1000).toFixed(1);
    console.log(`  ✓ ${name.padEnd(22)} ${said ?? 'ready'} (${seconds} s)`);
  } catch (error) {
    console.error(`  ✗ ${name.padEnd(22)} ${error.message}`);
    if (error.remedy) console.error(`    ${error.remedy}`);
    else console.error(error.stack);
    const stop = error instanceof Stop ? error : new Stop(error.message, 'See the lines above.');
    throw stop;
  }
}
