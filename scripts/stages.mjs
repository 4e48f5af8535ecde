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
    tell(error, name);
    throw error;
  }
}

const told = new WeakSet();
let stopping = false;

/** From now on what fails is told no more: it fails because it is being stopped. */
export function tellNoMore() {
  stopping = true;
}

/** Says what went wrong and what to do about it, once for each error. */
export function tell(error, name = 'Stopped') {
  if (stopping || told.has(error)) return;
  told.add(error);
  console.error(`  ✗ ${name.padEnd(22)} ${error.message}`);
  console.error(error instanceof Stop ? `    ${error.remedy}` : error.stack);
}
