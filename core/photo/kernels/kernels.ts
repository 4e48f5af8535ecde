import { KERNELS } from './bytes.ts';

/** What kernels.wat gives. */
export interface Kernels {
  memory: { buffer: ArrayBuffer; grow(pages: number): number };
  weigh(lines: number, to: number, until: number, curve: number, reach: number): void;
  columns(mask: number, far: number, width: number, height: number): void;
}

/** WebAssembly as far as it is used here: core is told of neither a browser nor Node.js. */
interface Engine {
  Module: new (bytes: Uint8Array) => object;
  Instance: new (module: object) => { exports: Kernels };
}

const PAGE = 65_536;
/** A memory never shrinks: one that has grown beyond this is left behind for a new one. */
const KEPT = 64 * 2 ** 20;
/** What an engine made of them; null where it could not. */
let made: { engine: Engine | undefined; of: { module: object; kernels: Kernels } | null } | undefined;

function madeBy(engine: Engine | undefined): { module: object; kernels: Kernels } | null {
  try {
    const module = new engine!.Module(
      Uint8Array.from(KERNELS.match(/../g)!, (byte) => Number.parseInt(byte, 16)),
    );
    return { module, kernels: new engine!.Instance(module).exports };
  } catch {
    return null;
  }
}

/**
 * The kernels with room for so many bytes; null where this machine has no WebAssembly with SIMD or no such room, or the page's
 * policy allows none: whoever asks reckons by himself then. What lies in their memory holds until the next call.
 */
export function kernelsWith(bytes: number): Kernels | null {
  const engine = (globalThis as { WebAssembly?: unknown }).WebAssembly as Engine | undefined;
  if (!made || made.engine !== engine) made = { engine, of: madeBy(engine) };
  const { of } = made;
  if (!of) return null;
  try {
    if (of.kernels.memory.buffer.byteLength > KEPT && bytes <= KEPT)
      of.kernels = new engine!.Instance(of.module).exports;
    const { memory } = of.kernels;
    const more = bytes - memory.buffer.byteLength;
    if (more > 0) memory.grow(Math.ceil(more / PAGE));
    return of.kernels;
  } catch {
    return null;
  }
}
