import type { Request } from 'express';

/** A fresh session id at every sign-in, so that one planted before is worth nothing. */
export async function startSession(request: Request, personId: string): Promise<void> {
  await called((done) => request.session.regenerate(done));
  request.session.personId = personId;
  await called((done) => request.session.save(done));
}

export function endSession(request: Request): Promise<void> {
  return called((done) => request.session.destroy(done));
}

function called(work: (done: (error: unknown) => void) => unknown): Promise<void> {
  return new Promise((resolve, reject) => {
    work((error) => {
      if (error instanceof Error) reject(error);
      else resolve();
    });
  });
}
