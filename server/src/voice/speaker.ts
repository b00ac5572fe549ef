import { spawn } from 'node:child_process';
import type { CountLanguage } from '@leiter/core';
import { readSound, trimmed, type Sound } from './sound.js';

/** Change it when what is below changes how a clip sounds: then every clip is spoken anew. */
export const voiceVersion = 'espeak-ng 1';

const voices: Readonly<Record<CountLanguage, string>> = { en: 'en-gb', fr: 'fr-fr', ja: 'ja', ko: 'ko' };
const wordsAMinute = { even: 165, quick: 290 } as const;
const mostMilliseconds = 8000;

/** No voice is installed beside the server. */
export class NoVoice extends Error {}

/**
 * Has a text spoken by espeak-ng, a program of its own beside the server. The text goes in by its input, never by its command line.
 * @returns the sound, without the silence around it: a count that begins with silence is late
 * @throws NoVoice where the program is missing; an error where it spoke nothing
 */
export async function speak(text: string, language: CountLanguage, isQuick: boolean): Promise<Sound> {
  const speed = String(isQuick ? wordsAMinute.quick : wordsAMinute.even);
  const parts = await new Promise<readonly Buffer[]>((resolve, reject) => {
    const program = spawn('espeak-ng', ['-v', voices[language], '-s', speed, '-z', '-b', '1', '--stdin', '--stdout'], {
      stdio: ['pipe', 'pipe', 'ignore'],
      timeout: mostMilliseconds,
    });
    const read: Buffer[] = [];
    program.on('error', (error: NodeJS.ErrnoException) => {
      reject(error.code === 'ENOENT' ? new NoVoice('espeak-ng is not installed') : error);
    });
    program.stdout.on('data', (part: Buffer) => read.push(part));
    program.on('close', (code) => {
      if (code === 0) resolve(read);
      else reject(new Error(`espeak-ng ended with ${String(code)}`));
    });
    program.stdin.on('error', () => undefined);
    program.stdin.end(text);
  });
  return trimmed(readSound(Buffer.concat(parts)));
}
