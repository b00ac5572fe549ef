import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import { ProblemException } from '../http/problem.js';

/** Tries are counted per address and e-mail: guessing one person's password is slowed, a whole club at one address is not. */
@Injectable()
export class SignInThrottle extends ThrottlerGuard {
  protected override getTracker(request: Request): Promise<string> {
    const body: unknown = request.body;
    const email = typeof body === 'object' && body !== null && 'email' in body ? String(body.email).trim().toLowerCase() : '';
    return Promise.resolve(
      createHash('sha256')
        .update(`${request.ip ?? ''} ${email}`)
        .digest('hex'),
    );
  }

  protected override throwThrottlingException(): Promise<void> {
    throw new ProblemException(429, 'Wait a minute, then try again.');
  }
}
