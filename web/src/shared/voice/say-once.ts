import { clipsWanted, countWord, type ClipWanted, type TeachingVoice, type Utterance } from '@leiter/core';
import { loadClips } from './load-clips';
import { VoicePlayer } from './voice-player';

/** A few words as one would hear them in a class. @returns false where no word was there to be said: then it was beeps, or nothing */
export async function sayOnce({ countLanguage, counting, loudness }: TeachingVoice): Promise<boolean> {
  const numbers = counting === 'up' ? [2, 3, 4] : [3, 2, 1];
  const words = [
    { text: 'left', language: 'en' as const },
    ...numbers.map((number) => ({ text: countWord(number, countLanguage), language: countLanguage })),
  ];
  const utterances = words.map((word, index): Utterance => ({
    ...word,
    kind: index === 0 ? 'side' : 'count',
    at: index,
    most: 1,
    keepFor: 0.1,
  }));
  const wanted: readonly ClipWanted[] = clipsWanted([utterances]);
  try {
    const context = new AudioContext();
    const clips = new Map<string, AudioBuffer>();
    const { missing } = await loadClips(
      wanted,
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
      (words.length + 1) * 1000,
    );
    return missing === 0;
  } catch {
    return false;
  }
}
