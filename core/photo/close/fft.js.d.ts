declare module 'fft.js' {
  /** Fast Fourier transform of lines whose length is a power of two; complex numbers lie as real, imaginary, real … */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    /** Fills the first half of `out`, zero to half the length, of a line of real numbers. */
    realTransform(out: number[], line: ArrayLike<number>): void;
    transform(out: number[], line: number[]): void;
  }
}
