/** A sound file (WAV, one channel, sixteen bits) of a function of time. @param sample from -1 to 1 */
export function soundFile(rate: number, seconds: number, sample: (t: number) => number): Buffer {
  const samples = Math.round(rate * seconds);
  const file = Buffer.alloc(44 + samples * 2);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + samples * 2, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(rate, 24);
  file.writeUInt32LE(rate * 2, 28);
  file.writeUInt16LE(2, 32);
  file.writeUInt16LE(16, 34);
  file.write('data', 36);
  file.writeUInt32LE(samples * 2, 40);
  for (let index = 0; index < samples; index += 1)
    file.writeInt16LE(Math.round(32_767 * Math.max(-1, Math.min(1, sample(index / rate)))), 44 + index * 2);
  return file;
}
