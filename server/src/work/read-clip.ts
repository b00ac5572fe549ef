import { open } from 'node:fs/promises';
import { accepted, refused } from '@leiter/core';
import {
  Conversion,
  FilePathSource,
  FilePathTarget,
  Input,
  MATROSKA,
  MP4,
  Mp4OutputFormat,
  Output,
  QTFF,
  WEBM,
  WebMOutputFormat,
  type InputVideoTrack,
} from 'mediabunny';
import sharp from 'sharp';
import type { Answers, Tasks } from './tasks.js';

const mostPixels = 100_000_000;
/** Of a picture, on its longer side. */
const pictureSize = 2400;
const widest = 4096;
/** A phone that says sixty seconds sends a little more. */
const sparedSeconds = 1;

const isPicture = (head: Buffer): boolean =>
  head.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])) ||
  head.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex')) ||
  (head.subarray(0, 4).toString('latin1') === 'RIFF' && head.subarray(8, 12).toString('latin1') === 'WEBP');

/** The first bytes of a file, by which its kind is told. */
async function headOf(path: string): Promise<Buffer> {
  const file = await open(path);
  try {
    return (await file.read(Buffer.alloc(16), 0, 16, 0)).buffer;
  } finally {
    await file.close();
  }
}

/**
 * Reads a file that a family sent and writes it anew: of a picture its pixels, of a video its pictures and sound, cut to nothing and
 * not encoded again. What else was in it – where it was taken, by which phone, what hides behind it – stays behind.
 */
export async function readClip({ path, to, mostSeconds }: Tasks['readClip']): Promise<Answers['readClip']> {
  return isPicture(await headOf(path)) ? readPicture(path, to) : readVideo(path, to, mostSeconds);
}

async function readPicture(path: string, to: string): Promise<Answers['readClip']> {
  try {
    const { width, height } = await sharp(path, { limitInputPixels: mostPixels })
      .timeout({ seconds: 20 })
      .rotate()
      .resize(pictureSize, pictureSize, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 85 })
      .toFile(to);
    return accepted({ kind: 'picture', mediaType: 'image/jpeg', width, height, seconds: null, framesPerSecond: null });
  } catch {
    return refused('unreadable');
  }
}

async function readVideo(path: string, to: string, mostSeconds: number): Promise<Answers['readClip']> {
  const input = new Input({ formats: [MP4, QTFF, WEBM, MATROSKA], source: new FilePathSource(path) });
  try {
    if (!(await input.canRead())) return refused('no-video');
    const track = await input.getPrimaryVideoTrack();
    if (!track) return refused('no-video');
    const seconds = await input.computeDuration();
    if (!(seconds > 0)) return refused('unreadable');
    if (seconds > mostSeconds + sparedSeconds) return refused('too-long');
    const about = await aboutTrack(track);
    if (!about || Math.max(about.width, about.height) > widest) return refused('not-shown');
    const { codec, ...size } = about;
    const isWebm = codec === 'vp8' || codec === 'vp9';
    const output = new Output({
      format: isWebm ? new WebMOutputFormat() : new Mp4OutputFormat({ fastStart: 'in-memory' }),
      target: new FilePathTarget(to),
    });
    const conversion = await Conversion.init({ input, output, tags: {}, showWarnings: false });
    if (!conversion.utilizedTracks.includes(track)) return refused('not-shown');
    await conversion.execute();
    return accepted({ kind: 'video', mediaType: isWebm ? 'video/webm' : 'video/mp4', ...size, seconds });
  } catch {
    return refused('unreadable');
  } finally {
    input.dispose();
  }
}

/** What browsers can show, and how it is shown; null for anything else. */
async function aboutTrack(
  track: InputVideoTrack,
): Promise<{ readonly codec: string; readonly width: number; readonly height: number; readonly framesPerSecond: number | null } | null> {
  const codec = await track.getCodec();
  if (codec === null) return null;
  const { averagePacketRate } = await track.computePacketStats(120);
  return {
    codec,
    width: await track.getDisplayWidth(),
    height: await track.getDisplayHeight(),
    framesPerSecond: Number.isFinite(averagePacketRate) && averagePacketRate > 0 ? averagePacketRate : null,
  };
}
