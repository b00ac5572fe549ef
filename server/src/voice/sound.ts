/** A sound of one channel, 16 bits a sample. */
export interface Sound {
  readonly rate: number;
  readonly samples: Int16Array;
}

/** Quieter than this is silence: about 40 dB under the loudest. */
const silence = 330;
/** Kept before the first loud sample, and after the last, in seconds: consonants begin and end softly. */
const kept = { before: 0.012, after: 0.04 };
const headBytes = 44;

/**
 * Reads a WAV file of one channel with 16 bits. Its length is what is there: a program that writes to a pipe does not know it beforehand.
 * @throws where it is no such file
 */
export function readSound(file: Buffer): Sound {
  const isOurs =
    file.length >= headBytes &&
    file.toString('latin1', 0, 4) === 'RIFF' &&
    file.toString('latin1', 8, 12) === 'WAVE' &&
    file.readUInt16LE(22) === 1 &&
    file.readUInt16LE(34) === 16;
  if (!isOurs) throw new Error('This is no WAV file of one channel with 16 bits.');
  const data = file.indexOf('data', 12, 'latin1');
  const body = file.subarray(data < 0 ? headBytes : data + 8);
  return { rate: file.readUInt32LE(24), samples: Int16Array.from({ length: body.length >> 1 }, (_, index) => body.readInt16LE(index * 2)) };
}

/** Without the silence at both ends, faded at the cut. @throws where there is nothing but silence */
export function trimmed({ rate, samples }: Sound): Sound {
  const isLoud = (sample: number): boolean => Math.abs(sample) > silence;
  const first = samples.findIndex(isLoud);
  if (first < 0) throw new Error('Nothing was spoken.');
  const from = Math.max(0, first - Math.round(kept.before * rate));
  const to = Math.min(samples.length, samples.findLastIndex(isLoud) + 1 + Math.round(kept.after * rate));
  const cut = samples.slice(from, to);
  const fade = Math.min(cut.length, Math.round(kept.after * rate));
  for (let index = 0; index < fade; index += 1) {
    const at = cut.length - 1 - index;
    cut[at] = Math.round(((cut[at] ?? 0) * index) / fade);
  }
  return { rate, samples: cut };
}

export const secondsOf = ({ rate, samples }: Sound): number => samples.length / rate;

/** The sound as a WAV file. */
export function writeSound({ rate, samples }: Sound): Buffer {
  const file = Buffer.alloc(headBytes + samples.length * 2);
  file.write('RIFF', 0, 'latin1');
  file.writeUInt32LE(file.length - 8, 4);
  file.write('WAVEfmt ', 8, 'latin1');
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(rate, 24);
  file.writeUInt32LE(rate * 2, 28);
  file.writeUInt16LE(2, 32);
  file.writeUInt16LE(16, 34);
  file.write('data', 36, 'latin1');
  file.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((sample, index) => file.writeInt16LE(sample, headBytes + index * 2));
  return file;
}
