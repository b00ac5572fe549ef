/** What an audio worklet has around it; the types of a page do not say so. */
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: new () => AudioWorkletProcessor): void;

const blockSamples = 1024;

/** Hands on what the microphone takes, in blocks; keeps none of it. */
class Samples extends AudioWorkletProcessor {
  private block = new Float32Array(blockSamples);
  private filled = 0;

  process([input]: readonly (readonly Float32Array[])[]): boolean {
    for (const sample of input?.[0] ?? []) {
      this.block[this.filled] = sample;
      this.filled += 1;
      if (this.filled < blockSamples) continue;
      this.port.postMessage(this.block, [this.block.buffer]);
      this.block = new Float32Array(blockSamples);
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('samples', Samples);
