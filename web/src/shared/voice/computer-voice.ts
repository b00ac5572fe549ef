import type { OtherVoice } from './voice-player';

/** A voice that the computer has for English; null where the browser has none at all. Voices come late: each time it is looked anew. */
export function computerVoice(loudness: number): OtherVoice | null {
  if (!('speechSynthesis' in window)) return null;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  return {
    say: (text, inSeconds) => {
      const voice = speechSynthesis.getVoices().find(({ lang }) => lang.startsWith('en'));
      if (!voice) return false;
      waiting = setTimeout(() => {
        const words = new SpeechSynthesisUtterance(text);
        words.voice = voice;
        words.volume = loudness;
        speechSynthesis.speak(words);
      }, inSeconds * 1000);
      return true;
    },
    hush: () => {
      clearTimeout(waiting);
      speechSynthesis.cancel();
    },
  };
}
