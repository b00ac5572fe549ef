// @vitest-environment jsdom
import { paperWithProgress } from '@leiter/contract/paper';
import fc from 'fast-check';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiError } from '../api';
import { fetchPaper, type PaperProgress } from './fetch-paper';

afterEach(() => {
  vi.unstubAllGlobals();
});

const pdf = Uint8Array.from([37, 80, 68, 70, 10, 123, 10, 0, 255]);
const lines = (...said: readonly object[]): Uint8Array =>
  new TextEncoder().encode(said.map((line) => `${JSON.stringify(line)}\n`).join(''));
const whole = new Uint8Array([...lines({ set: 0, of: 3 }, { set: 2, of: 3 }, { name: 'Füße.pdf', bytes: pdf.length }), ...pdf]);

/** Answers with bytes, cut into pieces of these lengths. */
function answerInPieces(bytes: Uint8Array, lengths: readonly number[]): void {
  const body = new ReadableStream<Uint8Array>({
    start: (stream) => {
      let from = 0;
      for (const length of [...lengths, bytes.length]) {
        if (from < bytes.length) stream.enqueue(bytes.slice(from, from + length));
        from += length;
      }
      stream.close();
    },
  });
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body as BodyInit, { headers: { 'content-type': paperWithProgress } })));
}
const bytesOf = (file: Blob): Promise<Uint8Array> =>
  new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(new Uint8Array(reader.result as ArrayBuffer)); // read as one
    };
    reader.readAsArrayBuffer(file);
  });
const signal = new AbortController().signal;

describe('a paper that says how far it is', () => {
  it('comes whole, however the connection cuts it, and its lines are told in order', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 40 }), { maxLength: 30 }), async (lengths) => {
        answerInPieces(whole, lengths);
        const told: PaperProgress[] = [];
        const { name, file } = await fetchPaper('x', (progress) => told.push(progress), signal);
        expect([name, await bytesOf(file)]).toEqual(['Füße.pdf', pdf]);
        expect(told).toEqual([
          { set: 0, of: 3 },
          { set: 2, of: 3 },
        ]);
      }),
      { numRuns: 40 },
    );
  });

  it('is none where it is cut off, or refused on the way', async () => {
    answerInPieces(whole.slice(0, -1), []);
    await expect(fetchPaper('x', vi.fn(), signal)).rejects.toThrow(ApiError);
    answerInPieces(lines({ set: 0, of: 3 }), []);
    await expect(fetchPaper('x', vi.fn(), signal)).rejects.toThrow(ApiError);
    answerInPieces(lines({ set: 0, of: 3 }, { refused: 'Too much at once.' }), []);
    await expect(fetchPaper('x', vi.fn(), signal)).rejects.toThrow('Too much at once.');
  });
});
