import { PassThrough } from 'node:stream';
import { paperWithProgress, type PaperLine, type Problem } from '@leiter/contract';
import { Logger, StreamableFile } from '@nestjs/common';
import type { Request, Response } from 'express';
import { ProblemException } from './problem.js';

/** Makes a PDF; told now and then how many pages are set, it passes that on, and ends when nobody waits any more. */
type Make = (onPages: (set: number) => void, signal: AbortSignal) => Promise<Buffer>;

const logger = new Logger('paper');

/** What went wrong after the answer had begun: a refusal in its own words, anything else by name and place only. */
function wordsOf(error: unknown): string {
  // the body of a ProblemException is a problem by construction
  const said = error instanceof ProblemException ? (error.getResponse() as Problem).detail : undefined;
  if (said !== undefined) return said;
  logger.error(error instanceof Error ? `${error.name} ${(error.stack ?? '').split('\n').slice(1, 4).join(' ')}` : 'unknown error');
  return 'It could not be made. Try again in a moment.';
}

/**
 * Answers with a PDF; who asks for `paperWithProgress` is told meanwhile how far it is, line by line, and gets the file after a line that
 * says how long it is. Nothing more is done once the asker has gone.
 */
export async function paperAnswer(request: Request, response: Response, name: string, pages: number, make: Make): Promise<StreamableFile> {
  const nobodyWaits = new AbortController();
  response.on('close', () => {
    nobodyWaits.abort();
  });
  if (!request.get('accept')?.includes(paperWithProgress)) {
    const pdf = await make(() => undefined, nobodyWaits.signal).catch((error: unknown) => {
      // ended for the asker has gone: nothing went wrong, and nobody reads the answer
      if (nobodyWaits.signal.aborted) return Buffer.alloc(0);
      throw error;
    });
    return new StreamableFile(pdf, { type: 'application/pdf', disposition: `inline; filename="${name}"` });
  }
  const stream = new PassThrough();
  const say = (line: PaperLine): void => {
    if (!stream.writableEnded) stream.write(`${JSON.stringify(line)}\n`);
  };
  say({ set: 0, of: pages });
  void make((set) => {
    say({ set, of: pages });
  }, nobodyWaits.signal).then(
    (pdf) => {
      say({ name, bytes: pdf.length });
      stream.end(pdf);
    },
    (error: unknown) => {
      if (nobodyWaits.signal.aborted) return;
      say({ refused: wordsOf(error) });
      stream.end();
    },
  );
  return new StreamableFile(stream, { type: paperWithProgress });
}
