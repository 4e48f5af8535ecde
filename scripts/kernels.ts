import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import wabt from 'wabt';
import { root } from './install.mjs';

/** Makes `core/photo/kernels/kernels.wat` into the bytes that are run: `node --import tsx scripts/kernels.ts`. */
const FOLDER = path.join(root, 'core', 'photo', 'kernels');

/** What the kernels' text says, as WebAssembly. */
export async function assembled(): Promise<Uint8Array> {
  const { parseWat } = await wabt();
  const name = 'kernels.wat';
  const read = parseWat(name, readFileSync(path.join(FOLDER, name), 'utf8'), { simd: true });
  try {
    return read.toBinary({}).buffer;
  } finally {
    read.destroy();
  }
}

if (process.argv[1]?.endsWith('kernels.ts'))
  assembled().then((bytes) =>
    writeFileSync(
      path.join(FOLDER, 'bytes.ts'),
      `/** Made from kernels.wat by scripts/kernels.ts, in hexadecimal. */\nexport const KERNELS =\n  '${Buffer.from(bytes).toString('hex')}';\n`,
    ),
  );
