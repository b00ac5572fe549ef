import { clipsWanted, type CountLanguage, type Utterance } from '@leiter/core';
import { loadClips } from './load-clips';
import { VoicePlayer } from './voice-player';

/** Words as the voice of Leiter says them. */
export interface SaidWord {
  readonly text: string;
  readonly language: CountLanguage;
}

/** Says words one after the other. @returns false where no word was there to be said: then it was beeps, or nothing */
export async function sayWords(words: readonly SaidWord[], loudness: number, eachSeconds = 1): Promise<boolean> {
  const utterances = words.map((word, index): Utterance => ({
    ...word,
    kind: index === 0 ? 'side' : 'count',
    at: index * eachSeconds,
    most: eachSeconds,
    keepFor: 0.1,
  }));
  try {
    const context = new AudioContext();
    const clips = new Map<string, AudioBuffer>();
    const { missing } = await loadClips(
      clipsWanted([utterances]),
      (file) => context.decodeAudioData(file),
      (key, clip) => {
        clips.set(key, clip);
      },
      () => undefined,
      new AbortController().signal,
    );
    const player = new VoicePlayer(context, clips);
    player.setLoudness(loudness);
    const zero = context.currentTime + 0.1;
    const timer = setInterval(() => {
      player.look([{ name: 'try', zero, utterances }]);
    }, 50);
    setTimeout(
      () => {
        clearInterval(timer);
        void context.close();
      },
      (words.length + 1) * eachSeconds * 1000,
    );
    return missing === 0;
  } catch {
    return false;
  }
}
