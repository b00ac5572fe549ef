import { MakeClubRequest, type WelcomeResponse } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Post, Req } from '@nestjs/common';
import type { Request } from 'express';
import { ProblemException } from '../http/problem.js';
import { startSession } from '../people/session.controller.js';
import { Public } from '../people/session.guard.js';
import { FoundingService } from './founding.service.js';

const refusals = { 'club-exists': 'There is a club already. Sign in, or ask its owner for access.' } as const;

@Controller()
export class ClubController {
  constructor(private readonly founding: FoundingService) {}

  @Public()
  @Get('welcome')
  welcome(): Promise<WelcomeResponse> {
    return this.founding.welcome();
  }

  /** Makes the club and signs its owner in; possible once, while there is none. */
  @Public()
  @Post('club')
  @HttpCode(204)
  async found(@Body() body: MakeClubRequest, @Req() request: Request): Promise<void> {
    const founded = await this.founding.found(body);
    if (founded.ok) return startSession(request, founded.value);
    throw new ProblemException(409, refusals[founded.error.kind]);
  }
}
