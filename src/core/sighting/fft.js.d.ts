/** The part of the package that is used here; it ships no types. */
declare module "fft.js" {
  /** The fast Fourier transform of one size, a power of two. Complex numbers stand as pairs in one array. */
  export default class FFT {
    constructor(size: number);
    transform(out: Float64Array, data: Float64Array): void;
    inverseTransform(out: Float64Array, data: Float64Array): void;
  }
}
