import { AcceptInvitationRequest, type InvitationForGuest } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Param, Post, Req } from '@nestjs/common';
import type { Request } from 'express';
import { fieldRefused, ProblemException } from '../http/problem.js';
import { InvitationsService } from './invitations.service.js';
import { passwordFaultWords } from './passwords.js';
import { startSession } from './session.js';
import { ForVisitors } from './session.guard.js';
import { SignInTriesService } from './sign-in-tries.service.js';

const over = 'This link is not good any more: it was used, or a week has passed. Ask for a new one.';

/** The side of the one who was given a link. */
@Controller('invitations')
export class InvitationsController {
  constructor(
    private readonly invitations: InvitationsService,
    private readonly tries: SignInTriesService,
  ) {}

  @ForVisitors()
  @Get(':token')
  async look(@Param('token') token: string, @Req() request: Request): Promise<InvitationForGuest> {
    const found = await this.invitations.look(token);
    if (!found) {
      // who guesses links is slowed down like who guesses passwords
      await this.tries.note(request, 'a link');
      throw new ProblemException(404, over);
    }
    const { kind, name, email, role, clubName } = found;
    return { kind, name, email, role, clubName };
  }

  /** Joins the club, or sets a new password; the person is signed in. */
  @ForVisitors()
  @Post(':token')
  @HttpCode(204)
  async accept(@Param('token') token: string, @Body() body: AcceptInvitationRequest, @Req() request: Request): Promise<void> {
    await this.tries.note(request, 'a link');
    const joined = await this.invitations.accept(token, body);
    if (joined.ok) return startSession(request, joined.value);
    switch (joined.error.kind) {
      case 'over':
        throw new ProblemException(404, over);
      case 'email-taken':
        throw new ProblemException(409, 'Somebody signs in with this address already.');
      case 'too-easy':
        throw fieldRefused('password', passwordFaultWords[joined.error.fault]);
    }
  }
}
