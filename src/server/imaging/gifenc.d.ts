/** The part of the encoder that is used; it ships without types. */
declare module "gifenc" {
  type Palette = readonly (readonly [number, number, number])[];
  interface FrameOptions {
    /** Of the first frame it is the file's own, of a later one that frame's. */
    readonly palette?: Palette;
    readonly transparent?: boolean;
    readonly transparentIndex?: number;
    /** ms. */
    readonly delay?: number;
    /** 0 for ever, -1 once; of the first frame. */
    readonly repeat?: number;
    readonly colorDepth?: number;
    /** What becomes of it before the next frame: 1 stays, 2 is cleared (GIF89a, section 23). */
    readonly dispose?: number;
  }
  interface Encoder {
    writeFrame(indexes: Uint8Array, width: number, height: number, options?: FrameOptions): void;
    finish(): void;
    bytes(): Uint8Array;
  }
  export function GIFEncoder(options?: { readonly initialCapacity?: number }): Encoder;
}
