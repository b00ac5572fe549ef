import type { OtherVoice } from './voice-player';

/** A voice that the computer has for a language; null where the browser has none at all. Voices come late: each time it is looked anew. */
export function computerVoice(loudness: number, language = 'en'): OtherVoice | null {
  if (!('speechSynthesis' in window)) return null;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  return {
    say: (text, inSeconds) => {
      const voices = speechSynthesis.getVoices();
      const inLanguage = (wanted: string) => voices.find(({ lang }) => lang.toLowerCase().startsWith(wanted));
      const voice = inLanguage(language) ?? inLanguage('en');
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
