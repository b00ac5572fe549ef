import { trackLimits } from '@leiter/core';
import Dexie, { type Table } from 'dexie';

/** A file of one's own, as it is kept in this browser. */
export interface OwnTrack {
  readonly id: string;
  readonly name: string;
  readonly seconds: number;
  /** Found or tapped; null where no beat was found. */
  readonly bpm: number | null;
  /** When its first beat falls, in seconds of the file. */
  readonly firstBeat: number;
}

class TrackStore extends Dexie {
  declare readonly tracks: Table<OwnTrack, string>;

  constructor() {
    super('leiter-music');
    this.version(1).stores({ tracks: 'id, name' });
  }
}

const store = new TrackStore();
const mostBytes = 60_000_000;

/** Why a file was not taken. */
export type TrackRefusal = 'no-music' | 'too-large' | 'too-long' | 'no-room' | 'keeps-nothing';

const folder = async (): Promise<FileSystemDirectoryHandle> =>
  (await navigator.storage.getDirectory()).getDirectoryHandle('music', { create: true });

async function writeFile(id: string, bytes: ArrayBuffer): Promise<void> {
  const writer = await (await (await folder()).getFileHandle(id, { create: true })).createWritable();
  await writer.write(bytes);
  await writer.close();
}

/** All that this browser keeps, by name. */
export function ownTracks(): Promise<readonly OwnTrack[]> {
  return store.tracks.orderBy('name').toArray();
}

/** Takes a file in: its length and beat are found, and it is kept in this browser alone. @returns the track, or why it was not taken */
export async function takeTrackIn(file: File): Promise<OwnTrack | TrackRefusal> {
  if (!('storage' in navigator) || !('getDirectory' in navigator.storage)) return 'keeps-nothing';
  if (file.size > mostBytes) return 'too-large';
  const bytes = await file.arrayBuffer();
  const sound = await decoded(bytes.slice(0));
  if (!sound) return 'no-music';
  if (sound.duration > trackLimits.seconds.most || sound.duration < trackLimits.seconds.least)
    return sound.duration < trackLimits.seconds.least ? 'no-music' : 'too-long';
  const beat = await beatOf(sound);
  const track: OwnTrack = {
    id: crypto.randomUUID(),
    name: file.name.replace(/\.\w{2,4}$/, '').slice(0, 120),
    seconds: Math.round(sound.duration * 10) / 10,
    bpm: beat?.bpm ?? null,
    firstBeat: beat?.firstBeat ?? 0,
  };
  try {
    await putTrack(track, bytes);
    return track;
  } catch (error) {
    return error instanceof DOMException && error.name === 'QuotaExceededError' ? 'no-room' : 'keeps-nothing';
  }
}

export async function changeTrack(id: string, change: Partial<Pick<OwnTrack, 'name' | 'bpm' | 'firstBeat'>>): Promise<void> {
  await store.tracks.update(id, change);
}

/** Keeps a track with its file: a new one, or one that was removed. */
export async function putTrack(track: OwnTrack, bytes: ArrayBuffer): Promise<void> {
  await writeFile(track.id, bytes);
  await store.tracks.put(track);
}

export async function removeTrack(id: string): Promise<void> {
  await store.tracks.delete(id);
  await (await folder()).removeEntry(id).catch(() => undefined);
}

/** The bytes of a track; null where they are not there any more. */
export async function bytesOf(id: string): Promise<ArrayBuffer | null> {
  try {
    return await (await (await (await folder()).getFileHandle(id)).getFile()).arrayBuffer();
  } catch {
    return null;
  }
}

async function decoded(bytes: ArrayBuffer): Promise<AudioBuffer | null> {
  try {
    // decoding needs no sound card
    return await new OfflineAudioContext(1, 1, 44_100).decodeAudioData(bytes);
  } catch {
    return null;
  }
}

/** Null where there is no beat to be found, as in wind and speech. */
async function beatOf(sound: AudioBuffer): Promise<{ readonly bpm: number; readonly firstBeat: number } | null> {
  try {
    const { guess } = await import('web-audio-beat-detector');
    const { bpm, offset } = await guess(sound, { minTempo: 70, maxTempo: 180 });
    return { bpm, firstBeat: offset };
  } catch {
    return null;
  }
}

/** The track that a plan means: the one of that name, of two the one whose length is nearest. */
export function trackFor(
  { name, seconds }: { readonly name: string; readonly seconds: number },
  tracks: readonly OwnTrack[],
): OwnTrack | null {
  const wanted = name.trim().toLocaleLowerCase();
  if (wanted === '') return null;
  const [nearest] = tracks
    .filter((track) => track.name.trim().toLocaleLowerCase() === wanted)
    .toSorted((a, b) => Math.abs(a.seconds - seconds) - Math.abs(b.seconds - seconds));
  return nearest ?? null;
}
