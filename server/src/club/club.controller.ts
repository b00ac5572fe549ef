import { MakeClubRequest, type WelcomeResponse } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Post, Req } from '@nestjs/common';
import type { Request } from 'express';
import { fieldRefused, ProblemException } from '../http/problem.js';
import { passwordFaultWords } from '../people/passwords.js';
import { startSession } from '../people/session.js';
import { ForVisitors } from '../people/session.guard.js';
import { SignInTriesService } from '../people/sign-in-tries.service.js';
import { FoundingService } from './founding.service.js';

@Controller()
export class ClubController {
  constructor(
    private readonly founding: FoundingService,
    private readonly tries: SignInTriesService,
  ) {}

  @ForVisitors()
  @Get('welcome')
  welcome(): Promise<WelcomeResponse> {
    return this.founding.welcome();
  }

  /** Makes the club and signs its owner in; possible once, while there is none. */
  @ForVisitors()
  @Post('club')
  @HttpCode(204)
  async found(@Body() body: MakeClubRequest, @Req() request: Request): Promise<void> {
    await this.tries.note(request, 'a new club');
    const founded = await this.founding.found(body);
    if (founded.ok) return startSession(request, founded.value.id);
    switch (founded.error.kind) {
      case 'club-exists':
        throw new ProblemException(409, 'There is a club already. Sign in, or ask its owner for access.');
      case 'too-easy':
        throw fieldRefused('password', passwordFaultWords[founded.error.fault]);
    }
  }
}
