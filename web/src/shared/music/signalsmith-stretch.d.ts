/** What is used of signalsmith-stretch, which ships no types. */
declare module 'signalsmith-stretch' {
  export interface StretchChange {
    readonly output?: number;
    readonly active?: boolean;
    readonly input?: number;
    readonly rate?: number;
    readonly loopStart?: number;
    readonly loopEnd?: number;
  }
  export interface StretchNode extends AudioWorkletNode {
    schedule(change: StretchChange): Promise<unknown>;
    addBuffers(channels: readonly Float32Array[]): Promise<number>;
  }
  interface Stretch {
    (context: BaseAudioContext, options?: AudioWorkletNodeOptions): Promise<StretchNode>;
    /** Where the worklet is fetched from. */
    moduleUrl?: string;
  }
  const stretch: Stretch;
  export default stretch;
}

declare module 'signalsmith-stretch?url' {
  const url: string;
  export default url;
}
